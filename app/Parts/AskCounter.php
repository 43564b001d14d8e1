<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\PartType;
use App\Models\Parts\Supplier;
use App\Record\Change;
use Carbon\CarbonImmutable;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\RequestException;
use Illuminate\Support\Facades\Http;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Parts\Stock\CounterAnswer;
use Ustrel\Core\Parts\Stock\CounterFault;
use Ustrel\Core\Parts\Stock\CounterLine;
use Ustrel\Core\Parts\Stock\UnreadableCounter;

/**
 * Asks a supplier's parts counter for price, stock and lead time of what the shop has a number for. Nothing is held while it
 * is asked. What it answered stands until it answers again; an answer that came later than a newer one is let go.
 */
final readonly class AskCounter
{
    private const SECONDS_TO_REACH = 2;

    private const SECONDS_TO_ANSWER = 5;

    private const MOST_BYTES = 1_000_000;

    private const CURL_TOO_LATE = 'cURL error 28';

    public function __construct(private Change $change)
    {
    }

    /** @throws ValidationException where there is nobody to ask, or nothing to ask for */
    public function __invoke(Supplier $supplier): Supplier
    {
        $counter = $supplier->counter ?? throw ValidationException::withMessages(['counter' => __('counter.none', ['name' => $supplier->name])]);
        $types = [];
        foreach (PartType::query()->where('workshop_id', $supplier->workshop_id)->whereNotNull('own_number')->orderBy('id')->get() as $type) {
            $types[(string) $type->own_number][] = $type->id;
        }
        if ($types === []) {
            throw ValidationException::withMessages(['counter' => __('counter.nothing')]);
        }
        $asked = CarbonImmutable::now();
        try {
            $lines = self::ask($counter, array_map(strval(...), array_keys($types)), $supplier->workshop()->valueOrFail('currency'));
            $answers = array_merge(...array_map(static fn (CounterLine $line): array => self::answers($line, $types[$line->number]), $lines));
            $said = ['answers' => json_encode($answers, JSON_THROW_ON_ERROR), 'answered_at' => self::at($asked), 'fault' => null, 'fault_about' => '', 'failed_at' => null];
        } catch (UnreadableCounter $unreadable) {
            $said = ['fault' => $unreadable->fault->value, 'fault_about' => $unreadable->about, 'failed_at' => self::at($asked)];
        }

        return $this->change->ofWorkshop($supplier->workshop_id, static function () use ($supplier, $counter, $said, $asked): Supplier {
            $isStill = Supplier::query()->whereKey($supplier->id)->where('counter', $counter)
                ->whereRaw("greatest(coalesce(answered_at, '-infinity'), coalesce(failed_at, '-infinity')) < ?", [self::at($asked)]);
            $isStill->toBase()->update($said);

            return Supplier::query()->findOrFail($supplier->id);
        });
    }

    /**
     * @param  list<string>  $numbers
     * @return list<CounterLine>
     *
     * @throws UnreadableCounter
     */
    private static function ask(string $counter, array $numbers, string $currency): array
    {
        $address = CounterAddress::of($counter) ?? throw new UnreadableCounter(CounterFault::Down);
        $lines = [['ustrel' => 'counter', 'version' => CounterAnswer::VERSION, 'currency' => $currency], ...array_map(static fn (string $number): array => ['number' => $number], $numbers)];
        $body = implode("\n", array_map(static fn (array $line): string => json_encode($line, JSON_THROW_ON_ERROR), $lines))."\n";
        $tooLong = false;
        try {
            $answer = Http::connectTimeout(self::SECONDS_TO_REACH)->timeout(self::SECONDS_TO_ANSWER)
                ->withOptions(['allow_redirects' => false, 'decode_content' => false, 'proxy' => '', 'curl' => $address->pinned() + [
                    CURLOPT_NOPROGRESS => false,
                    CURLOPT_XFERINFOFUNCTION => static function (mixed $curl, int $all, int $come) use (&$tooLong): int {
                        $tooLong = $come > self::MOST_BYTES;

                        return $tooLong ? 1 : 0;
                    },
                ]])
                ->accept('application/x-ndjson')->withBody($body, 'application/x-ndjson')->post($address->url)->throw();
        } catch (ConnectionException|RequestException $failed) {
            throw new UnreadableCounter(match (true) {
                $tooLong => CounterFault::NotUnderstood,
                str_contains($failed->getMessage(), self::CURL_TOO_LATE) => CounterFault::Late,
                default => CounterFault::Down,
            });
        }
        if ($answer->status() !== 200) {
            throw new UnreadableCounter(CounterFault::NotUnderstood);
        }

        return CounterAnswer::read($answer->body(), $numbers, $currency);
    }

    /**
     * @param  list<int>  $types
     * @return list<array<string, mixed>> one for each part type of the number
     */
    private static function answers(CounterLine $line, array $types): array
    {
        return array_map(static fn (int $type): array => ['part_type_id' => $type, 'known' => $line->isKnown, 'price' => $line->price, 'in_stock' => $line->inStock, 'lead_days' => $line->leadDays], $types);
    }

    private static function at(CarbonImmutable $asked): string
    {
        return $asked->format('Y-m-d H:i:s.vP');
    }
}
