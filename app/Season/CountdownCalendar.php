<?php

declare(strict_types=1);

namespace App\Season;

use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Sabre\VObject\Component\VCalendar;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Deadline;

/** The countdown as iCalendar: a day for each thing, under an id of its own that stays, so that a new export takes the place of the old. */
final class CountdownCalendar
{
    /** @param  list<Deadline>  $countdown */
    public static function write(PreparedSeason $view, array $countdown): string
    {
        $planter = $view->planter;
        $calendar = new VCalendar(['PRODID' => '-//Ustrel//Season//EN', 'X-WR-CALNAME' => "{$planter->farm} {$planter->name} {$planter->season()}"]);
        foreach ($countdown as $deadline) {
            $step = CountdownStep::tryFrom($deadline->key);
            $title = $step === null ? array_column($view->plan->own_items, 'title', 'id')[$deadline->key] ?? '' : __("countdown.{$deadline->key}");
            $start = $deadline->latestStart;
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "{$deadline->key}-{$planter->id}-{$planter->season()}@ustrel",
                'DTSTAMP' => new DateTimeImmutable(CarbonImmutable::now('UTC')->toIso8601String()),
                // Each change of the plan counts.
                'SEQUENCE' => $view->plan->revision,
                'SUMMARY' => "{$planter->name}: {$title}",
                'DESCRIPTION' => $start === null ? __('countdown_text.due') : __('countdown_text.begin', ['day' => $planter->workshop->sayDay($start)]),
                'STATUS' => 'CONFIRMED',
                'TRANSP' => 'TRANSPARENT',
            ], false);
            $calendar->add($event);
            $event->add('DTSTART', str_replace('-', '', $deadline->due->iso), ['VALUE' => 'DATE']);
            $event->add('DTEND', str_replace('-', '', $deadline->due->plusDays(1)->iso), ['VALUE' => 'DATE']);
            if ($deadline->isDone) {
                $event->add('CATEGORIES', __('countdown_text.done'));
            }
        }

        return $calendar->serialize();
    }
}
