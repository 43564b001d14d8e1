<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Walk;
use App\Record\Instant;
use App\Walk\Board\StoredAnswer;
use App\Walk\ReasonShape;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use stdClass;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\Background;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judgement;
use Ustrel\Core\Spec\Outlook;
use Ustrel\Core\Spec\Reason;
use Ustrel\Core\Spec\ReasonCode;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Result;

/** Works out which places of a walk were given another part, or have to be measured again, since they were looked at. */
final class Renewals
{
    /**
     * @param  array<string, string>  $takenAt  when each place was looked at, by place key; ISO 8601 in UTC
     * @param  array<string, Outlook>  $outlooks  by place key
     * @param  list<int>|null  $rows  only these rows
     * @return list<array<string, mixed>> rows of the table renewals
     */
    public static function of(Walk $walk, SpecSheet $sheet, array $takenAt, array $outlooks, ?array $rows): array
    {
        $until = $walk->nextStart();
        $newest = [];
        foreach (self::happened($walk, $until) as $event) {
            foreach (self::concerned($event, $sheet) as [$check, $side, $again]) {
                $key = "{$event->row_number}:{$check->key->value}:{$side->value}";
                $isSeen = ($takenAt[$key] ?? '') > $event->at || ($again && ! isset($takenAt[$key]));
                if (! $isSeen && ($rows === null || in_array($event->row_number, $rows, true))) {
                    $newest[$key] = self::line($walk, $event, $check, $side, $again, $outlooks[$key] ?? null);
                }
            }
        }

        return array_values($newest);
    }

    /** @return iterable<stdClass> what was fitted or set anew since the walk began, oldest first */
    private static function happened(Walk $walk, ?CarbonImmutable $until): iterable
    {
        return LedgerQuery::events($walk->planter)
            ->whereIn('kind', ['fitted', 'shims_moved'])
            ->where('happened_at', '>=', $walk->started_at)
            ->when($until !== null, static fn (Builder $events): Builder => $events->where('happened_at', '<', $until))
            ->selectRaw('kind, row_number, slot, side, size, used, '.Instant::sql('happened_at').' AS at')
            ->get();
    }

    /** @return iterable<array{Check, Side, bool}> the checks that an event concerns, and whether they are to be measured again */
    private static function concerned(stdClass $event, SpecSheet $sheet): iterable
    {
        $slot = Slot::from($event->slot);
        $again = $event->kind === 'shims_moved' ? [CheckKey::BladeContactLength, CheckKey::InnerShims] : $slot->remeasured();
        foreach ($event->kind === 'fitted' ? $slot->checks() : [] as $key) {
            $check = $sheet->check($key);
            if ($check !== null) {
                yield [$check, Side::from($event->side), false];
            }
        }
        foreach ($again as $key) {
            $check = $sheet->check($key);
            $sides = $check === null ? [] : array_filter($check->sides, static fn (Side $side): bool => count($check->sides) === 1 || $event->side === Side::Centre->value || $side->value === $event->side);
            foreach ($sides as $side) {
                yield [$check, $side, true];
            }
        }
    }

    /** @return array<string, mixed> */
    private static function line(Walk $walk, stdClass $event, Check $check, Side $side, bool $again, ?Outlook $outlook): array
    {
        $isSize = ! $again && $event->size !== null && Slot::from($event->slot)->checks()[0] === $check->key;
        $size = $isSize ? Unit::Millimetre->quantityOf($event->size) : null;
        $judgement = match (true) {
            $again => Judgement::of(Verdict::Unchecked),
            $size === null => Judgement::of(Verdict::Sound),
            default => $check->judge(Answer::figure($size), Background::of($outlook)),
        };
        $code = match (true) {
            $again => ReasonCode::MeasureAgain,
            $event->used => ReasonCode::UsedSince,
            default => ReasonCode::NewSince,
        };
        $told = ReasonShape::of(new Reason($code)) + ['on' => substr($event->at, 0, 10)];
        $reasons = $judgement->verdict === Verdict::Sound ? [] : array_map(ReasonShape::of(...), $judgement->reasons);
        $life = $size === null ? null : $check->rule->lifeLeft($size);

        return [
            'walk_id' => $walk->id,
            'row_number' => $event->row_number,
            'check_key' => $check->key->value,
            'side' => $side->value,
            'result' => ($again ? Result::MeasureAgain : Result::Fitted)->value,
            'value' => $size === null ? null : StoredAnswer::columns(Answer::figure($size))['value'],
            'verdict' => $judgement->verdict->value,
            'reasons' => json_encode([...$reasons, $told], JSON_THROW_ON_ERROR),
            'life_left' => $life === null ? null : round($life, 4),
            'happened_at' => $event->at,
        ];
    }
}
