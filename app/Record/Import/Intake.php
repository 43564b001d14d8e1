<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Record\Affected;
use App\Record\Declared;
use App\Record\Inbox;
use App\Record\Outcome;
use App\Record\Receipt;

/** Puts the lines of a file into the inbox, and keeps account of which event came from which line. */
final class Intake
{
    /** @var array<string, list<array{int, string, ReadLine}>> lines read and not yet taken, by the kind that takes them: number, text, line */
    private array $waiting = [];

    /** @var array<string, array{int, string, ReadLine}> by event that was stored */
    private array $stored = [];

    public function __construct(
        private readonly Lines $lines,
        private readonly Inbox $inbox,
        private readonly Planter $planter,
        private readonly Affected $affected,
    ) {
    }

    public function read(int $number, LineFields $fields, string $text, ImportReport $report): null
    {
        $line = $this->lines->read($fields);
        $this->waiting[$line->into][] = [$number, $text, $line];
        if ($line->doubt !== null) {
            $report->doubt($number, $line->doubt, $text);
        }

        return null;
    }

    public function take(ImportReport $report): void
    {
        foreach ($this->waiting as $into => $lines) {
            $this->takeInto((string) $into, $lines, $report);
        }
        $this->waiting = [];
    }

    /** Takes lines out again that cannot be true together with the rest, one by one. */
    public function hold(ImportReport $report, int $most): void
    {
        for ($impossible = 0; ; $impossible++) {
            try {
                $this->lines->hold();

                return;
            } catch (RefusedEvent $refused) {
                [$number, $text, $line] = $this->stored[$refused->event] ?? throw new RefusedFile($refused->getMessage());
                if ($impossible >= $most) {
                    throw new RefusedFile($refused->getMessage());
                }
                $this->takeOut($line);
                $report->refuse($number, $refused->getMessage(), $text);
                $report->good--;
                $report->kept--;
            }
        }
    }

    /** @param  list<array{int, string, ReadLine}>  $lines */
    private function takeInto(string $into, array $lines, ImportReport $report): void
    {
        $kind = $this->lines->kind($into);
        // By their ids alone: the database would rather go through all that the planter has.
        $former = Declared::by($kind)->model::query()
            ->whereIn('id', array_map(static fn (array $line): string => $line[2]->formerId, $lines))
            ->toBase()
            ->pluck('planter_id', 'id')
            ->filter(fn (int $planter): bool => $planter === $this->planter->id);
        $new = array_values(array_filter($lines, static fn (array $line): bool => ! $former->has($line[2]->formerId)));
        $report->good += count($lines) - count($new);
        $report->known += count($lines) - count($new);

        $receipts = $this->inbox->take($kind, array_merge(...array_map(static fn (array $line): array => $line[2]->items, $new)), $this->affected);
        foreach ($new as $of) {
            $this->account($of, array_splice($receipts, 0, count($of[2]->items)), $report);
        }
    }

    /**
     * @param  array{int, string, ReadLine}  $of
     * @param  list<Receipt>  $receipts
     */
    private function account(array $of, array $receipts, ImportReport $report): void
    {
        [$number, $text, $line] = $of;
        foreach ($receipts as $receipt) {
            if (! $receipt->outcome->isTaken()) {
                $this->takeOut($line);
                $report->refuse($number, (string) $receipt->message, $text);

                return;
            }
        }
        $report->good++;
        if ($receipts[0]->outcome === Outcome::Known) {
            $report->known++;

            return;
        }
        $report->kept++;
        foreach ($this->lines->canBeImpossible() ? $line->items : [] as $item) {
            $this->stored[$item['id']] = $of;
        }
    }

    /** What goes together is kept together, or not at all. */
    private function takeOut(ReadLine $line): void
    {
        foreach (array_reverse($line->items) as $item) {
            Declared::by($this->lines->kind($line->into))->model::query()->where('planter_id', $this->planter->id)->whereKey($item['id'])->delete();
        }
    }
}
