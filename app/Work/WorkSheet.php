<?php

declare(strict_types=1);

namespace App\Work;

use App\Http\CsvSheet;
use App\Http\Paper;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Work\Schedule\Placed;

/** A plan to take along: as a table, into a calendar, and as cards on paper with what to pick from the shelf. */
final readonly class WorkSheet
{
    private const COLUMNS = ['day', 'begins', 'ends', 'person', 'planter', 'row', 'work', 'minutes', 'parts', 'begin_by'];

    private WorkWords $words;

    public function __construct(private WorkPlan $plan, private Workshop $workshop, UnitSystem $units)
    {
        $this->words = new WorkWords(new QuantityPrinter($units));
    }

    public function csv(): string
    {
        return CsvSheet::of(self::COLUMNS, array_map(function (array $one): array {
            [$placed, $of] = $one;
            [$begins, $ends, $latest] = array_map($this->at(...), [$placed->start, $placed->finish, $this->plan->schedule->latest[$placed->task] ?? $placed->start]);

            return [
                $begins->format('Y-m-d'), $begins->format('H:i'), $ends->format('Y-m-d H:i'), $this->person($placed), $of->planter->name, $of->piece->row,
                WorkWords::piece($of), $of->piece->minutes, implode('; ', array_map(static fn (array $part): string => WorkWords::part($part[0], $part[1]), $of->parts)), $latest->format('Y-m-d H:i'),
            ];
        }, $this->placed()));
    }

    /** An event for each piece and day that it is worked on, under an id of its own that stays: a new export takes the place of the old. */
    public function calendar(): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Ustrel//Work//EN', 'X-WR-CALNAME' => "{$this->workshop->name}: ".__('work.title')]);
        $utc = new DateTimeZone('UTC');
        $now = CarbonImmutable::now('UTC');
        foreach ($this->placed() as [$placed, $of]) {
            foreach ($this->plan->stretches($placed) as $index => ['day' => $day, 'from' => $from, 'to' => $to]) {
                $midnight = new DateTimeImmutable($day->iso, $this->workshop->zone());
                $calendar->add($calendar->createComponent('VEVENT', [
                    'UID' => 'work-'.hash('xxh128', $placed->task)."-{$of->planter->id}".($index === 0 ? '' : '-'.($index + 1)).'@ustrel',
                    'DTSTAMP' => new DateTimeImmutable($now->toIso8601String()),
                    // The plan is made anew each time that it is asked for: a later one counts higher.
                    'SEQUENCE' => intdiv($now->getTimestamp() - 1_577_836_800, 60),
                    'SUMMARY' => "{$of->planter->name}: ".WorkWords::piece($of),
                    'DESCRIPTION' => trim("{$this->person($placed)}\n".implode("\n", array_map(static fn (array $part): string => WorkWords::part($part[0], $part[1]), $of->parts))),
                    'DTSTART' => $midnight->setTime(0, $from)->setTimezone($utc),
                    'DTEND' => $midnight->setTime(0, $to)->setTimezone($utc),
                ], false));
            }
        }

        return $calendar->serialize();
    }

    /** By day and person a card for each piece, and what to pick from the shelf. A PDF. */
    public function cards(): string
    {
        $dates = $this->workshop->dates();
        $days = $picks = [];
        foreach ($this->placed() as [$placed, $of]) {
            $day = $dates->long($this->plan->first->plusDays(intdiv($placed->start, 1440)));
            $days[$day][$this->person($placed)][] = ['begins' => $dates->clock($placed->start % 1440), 'of' => $of];
            foreach ($of->parts as [$place, $type, $arrival]) {
                $name = $type === null ? __("slot.{$place->slot->value}") : trim("{$type->name} {$type->own_number}");
                $when = $arrival->isHere ? __('work.here') : __($arrival->isOrdered ? 'work.comes' : 'work.if_ordered', ['day' => $arrival->on === null ? '' : $this->workshop->sayDay($arrival->on)]);
                $picks[$name][$when] = ($picks[$name][$when] ?? 0) + 1;
            }
        }
        ksort($picks);

        return Paper::pdf('print.work', ['workshop' => $this->workshop, 'days' => $days, 'picks' => $picks, 'undated' => $this->plan->undated, 'words' => $this->words]);
    }

    /** @return list<array{Placed, PlannedWork}> in the order in which they begin */
    private function placed(): array
    {
        return array_values(array_map(fn (Placed $placed): array => [$placed, $this->plan->pieces[$placed->task]], $this->plan->schedule->placed ?? []));
    }

    private function person(Placed $placed): string
    {
        return implode(', ', array_map(fn (int $person): string => $this->plan->people[$person], $placed->people()));
    }

    /** An instant of the plan as the moment that it is in the workshop. */
    private function at(int $instant): DateTimeImmutable
    {
        return new DateTimeImmutable(sprintf('%s %02d:%02d', $this->plan->first->plusDays(intdiv($instant, 1440))->iso, intdiv($instant % 1440, 60), $instant % 60), $this->workshop->zone());
    }
}
