<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchEntry;
use App\Models\Field\WatchRun;
use App\Record\Affected;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Field\Watch\WatchEntryKind;

/** What people say of one run while its rows are watched. */
#[Declared(WatchEntry::class, item: 'watch.entry', when: 'refused.no_time', ahead: 'refused.in_the_future')]
final readonly class WatchEntries implements Kind
{
    use EventDefaults;

    public function __construct(
        private WatchRun $run,
        private int $rowCount,
        private Listen $listen,
    ) {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $kind = $fields->oneOf('kind', WatchEntryKind::class, 'watch.entry_kind') ?? throw Refused::because('kind', 'watch.entry_kind');
        $row = $alarm = null;
        if ($kind->isOfRow()) {
            $row = $fields->whole('row', 1, $this->rowCount, 'watch.row', ['rows' => $this->rowCount]) ?? throw Refused::because('row', 'watch.row', ['rows' => $this->rowCount]);
        } else {
            $alarm = $fields->whole('alarm', 1, PHP_INT_MAX, 'watch.alarm');
            if ($alarm === null || ! WatchAlarm::query()->where('watch_run_id', $this->run->id)->whereKey($alarm)->exists()) {
                throw Refused::because('alarm', 'watch.alarm');
            }
        }
        // Said while it was watched and sent late it counts.
        if ($kind->isOfRow() && $this->run->ended_at !== null && $envelope->at()->milliseconds > $this->run->ended_at->getTimestampMs()) {
            throw Refused::because('row', 'watch.ended_before');
        }

        return ['watch_run_id' => $this->run->id, 'kind' => $kind->value, 'watch_alarm_id' => $alarm, 'row_number' => $row];
    }

    public function affect(array $rows, array $superseded, Affected $affected): void
    {
        $left = array_values(array_unique(array_column(array_filter($rows, static fn (array $row): bool => $row['kind'] === WatchEntryKind::Left->value), 'watch_alarm_id')));
        $known = WatchEntry::query()->whereIn('watch_alarm_id', $left)->where('kind', WatchEntryKind::Left)->whereNotIn('id', array_column($rows, 'id'))->pluck('watch_alarm_id')->all();
        foreach (WatchAlarm::query()->whereKey(array_diff($left, $known))->get() as $alarm) {
            $this->listen->expect($this->run, $alarm);
        }
    }
}
