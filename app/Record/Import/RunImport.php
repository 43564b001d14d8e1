<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Console\Pulse;
use App\Models\Planter;
use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\Refused;
use App\Walk\Board\LastReadings;
use Generator;
use Illuminate\Support\Facades\Auth;
use Throwable;

/**
 * Takes a file into a planter's record through the inbox, as if a device had sent it: slice by slice, each of them a change
 * that others come between, and on record together with how far the file has come. So it goes on after a kill where it was.
 * What is only looked at does the same and is taken back, so that it cannot say anything else.
 */
final readonly class RunImport
{
    /** Lines that go into the record in one change. */
    private const SLICE = 2000;

    /** Part changes can get into each other's way: all of a file go in at once. */
    private const MOST_CHANGES = 10_000;

    /** More lines than these that cannot be true, and the file is another planter's. */
    private const MOST_IMPOSSIBLE = 100;

    /** A file that ends its worker, or fails, so often without getting on will do so again. */
    private const MOST_STARTS = 12;

    public function __construct(
        private Change $change,
        private LastReadings $lastReadings,
        private ImportFiles $files,
        private ImportProgress $progress,
        private Pulse $pulse,
    ) {
    }

    public function __invoke(int $id): void
    {
        $import = Import::query()->with(['planter.workshop', 'planter.specSheet', 'user'])->find($id);
        if ($import === null) {
            return;
        }
        if (self::set($import, ['starts' => $import->starts + 1])) {
            $this->goOn($import);
        }
        if (! in_array($import->refresh()->state, ImportState::onTheWay(), true)) {
            $this->files->remove($import);
        }
    }

    private function goOn(Import $import): void
    {
        // What the shop calls its own checks is asked for by who is signed in.
        Auth::setUser($import->user);
        $this->giveUpWhereMemoryEnds($import);
        try {
            $report = $import->starts > self::MOST_STARTS ? throw RefusedFile::because('too_much') : $this->run($import);
            self::set($import, ['state' => ImportState::Done, 'kept' => $report->kept, 'left_out' => $report->bad + count($import->leave_out), 'report' => $report->sorted()->toArray()]);
        } catch (Overtaken) {
            // Stopped; or another has it.
        } catch (RefusedFile $refused) {
            self::set($import, ['state' => ImportState::Refused, 'refused' => $refused->getMessage(), 'report' => null]);
        } catch (Throwable $fault) {
            // A database that is away for a moment is back in the next: the job is tried again.
            $import->starts >= self::MOST_STARTS ? self::set($import, ['state' => ImportState::Refused, 'refused' => __('error.fault'), 'report' => null]) : throw $fault;
        }
    }

    /** It would end there again. */
    private function giveUpWhereMemoryEnds(Import $import): void
    {
        register_shutdown_function(static function () use ($import): void {
            if ((error_get_last()['type'] ?? null) === E_ERROR) {
                self::set($import, ['state' => ImportState::Refused, 'refused' => __('import.too_much'), 'report' => null]);
            }
        });
    }

    /** @throws RefusedFile */
    private function run(Import $import): ImportReport
    {
        $kind = ImportKind::from($import->kind);
        $mode = ImportMode::from($import->mode);
        $file = CsvFile::open($this->files->pathOf($import));
        $mapping = $import->mapping === null ? Mapping::suggested($kind, $file->columns) : Mapping::of($kind, $import->mapping, count($file->columns));
        $mapping = $mapping->written($file->numberStyle($import->planter->workshop->number_style));
        if ($mapping->missing() !== []) {
            return ImportReport::unmapped($file, $mapping);
        }
        if ($mode !== ImportMode::Good && $import->state !== ImportState::Taking) {
            self::set($import, ['state' => ImportState::Looking]) ?: throw new Overtaken;
            $seen = $this->pass($import, $file, $mapping);
            if ($mode === ImportMode::Preview || $seen->bad > 0) {
                $seen->kept = $mode === ImportMode::Preview ? $seen->kept : 0;

                return $seen;
            }
        }
        if ($import->state !== ImportState::Taking) {
            self::set($import, ['state' => ImportState::Taking]) ?: throw new Overtaken;
        }

        return $this->pass($import, $file, $mapping);
    }

    /** Goes through the file once; what is taken in goes on behind the last line that is in the record. */
    private function pass(Import $import, CsvFile $file, Mapping $mapping): ImportReport
    {
        $keeps = $import->state === ImportState::Taking;
        $report = $keeps && $import->report !== null ? ImportReport::of($import->report) : ImportReport::about($file, $mapping);
        $ids = new LineIds($import->planter, $mapping->kind);
        $counted = $this->lines($mapping->kind, $import, $import->planter, $ids, new Affected);
        foreach ($this->slices($file, $mapping->kind) as [$slice, $share]) {
            $last = (int) array_key_last($slice);
            if ($keeps && $last <= $import->line) {
                // On record already. What says the same as an earlier line is told apart by its turn, so its turns count.
                self::eachRead($slice, $mapping, static fn (LineFields $fields): ReadLine => $counted->read($fields));

                continue;
            }
            $write = function (Planter $planter, Affected $affected) use ($import, $mapping, $slice, $last, $keeps, $report, $ids): array {
                // Copies, for it may run more than once.
                $report = clone $report;
                $ids = clone $ids;
                $this->take($this->lines($mapping->kind, $import, $planter, $ids, $affected), new Inbox($planter, $import->user), $planter, $affected, $slice, $mapping, array_flip($import->leave_out), $report);
                if ($keeps && ! self::set($import, ['line' => $last, 'starts' => 0, 'kept' => $report->kept, 'report' => $report->toArray()], from: $import->line)) {
                    throw new Overtaken;
                }

                return [$report, $ids];
            };
            /** @var array{ImportReport, LineIds} $said */
            $said = $keeps ? $this->change->of($import->planter, $write) : $this->change->tryOut($import->planter, $write);
            [$report, $ids] = $said;
            $import->line = $keeps ? $last : 0;
            if (! $keeps && Import::query()->whereKey($import->id)->value('state') !== ImportState::Looking) {
                throw new Overtaken;
            }
            $this->progress->tell($import->id, $report->good + $report->bad, $share);
            $this->pulse->beat();
        }

        return $report->good + $report->bad === 0 && $import->leave_out === [] ? throw RefusedFile::because('no_lines') : $report;
    }

    /**
     * Puts what is known of the import on record, unless it is over.
     *
     * @param  array<string, mixed>  $columns
     * @param  int|null  $from  the line that it has to be at still
     */
    private static function set(Import $import, array $columns, ?int $from = null): bool
    {
        $changed = (clone $import)->fill($columns);
        $set = Import::query()->whereKey($import->id)->whereIn('state', ImportState::onTheWay())
            ->when($from !== null, static fn ($query) => $query->where('line', $from))
            ->update(array_intersect_key($changed->getAttributes(), $columns)) === 1;
        if ($set) {
            $import->fill(array_diff_key($columns, ['line' => 1]));
        }

        return $set;
    }

    private function lines(ImportKind $kind, Import $import, Planter $planter, LineIds $ids, Affected $affected): Lines
    {
        return match ($kind) {
            ImportKind::Acres => new AcresLines($planter, $ids),
            ImportKind::Readings => new ReadingLines($planter, $import->user, $ids, $this->lastReadings, $affected),
            ImportKind::Changes => new ChangeLines($planter, $import->user, $ids, $affected),
        };
    }

    /**
     * @return Generator<int, array{non-empty-array<int, array{list<string>, string|null}>, float}> slices of lines by their number, each with the share of the file read with it
     *
     * @throws RefusedFile
     */
    private function slices(CsvFile $file, ImportKind $kind): Generator
    {
        $slice = [];
        $share = 0.0;
        foreach ($file->lines() as $number => [$fields, $share, $fault]) {
            if (count($slice) >= ($kind === ImportKind::Changes ? self::MOST_CHANGES : self::SLICE)) {
                if ($kind === ImportKind::Changes) {
                    throw RefusedFile::because('too_many_changes', ['most' => number_format(self::MOST_CHANGES)]);
                }
                yield [$slice, $share];
                $slice = [];
            }
            $slice[$number] = [$fields, $fault];
        }
        if ($slice !== []) {
            yield [$slice, $share];
        }
    }

    /**
     * @param  array<int, array{list<string>, string|null}>  $slice
     * @param  array<int, int>  $leaveOut  by line number
     */
    private function take(Lines $lines, Inbox $inbox, Planter $planter, Affected $affected, array $slice, Mapping $mapping, array $leaveOut, ImportReport $report): void
    {
        $intake = new Intake($lines, $inbox, $planter, $affected);
        $report->see(...array_column($slice, 0));
        self::eachRead(
            array_diff_key($slice, $leaveOut),
            $mapping,
            static fn (LineFields $fields, int $number, string $text): null => $intake->read($number, $fields, $text, $report),
            $report,
        );
        $intake->take($report);
        $intake->hold($report, self::MOST_IMPOSSIBLE);
    }

    /**
     * @param  array<int, array{list<string>, string|null}>  $slice
     * @param  callable(LineFields, int, string): mixed  $read
     * @param  ImportReport|null  $report  told what cannot be read
     */
    private static function eachRead(array $slice, Mapping $mapping, callable $read, ?ImportReport $report = null): void
    {
        foreach ($slice as $number => [$fields, $fault]) {
            $text = ImportReport::shortened($fields);
            try {
                if ($fault !== null) {
                    throw RefusedLine::because($fault);
                }
                $read(new LineFields($mapping->pick($fields), $mapping->dates, $mapping->style), $number, $text);
            } catch (RefusedLine|Refused $refused) {
                $report?->refuse($number, $refused->getMessage(), $text);
            }
        }
    }
}
