<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Import;
use App\Models\Planter;
use App\Models\User;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\Refused;
use App\Record\Touched;
use App\Walk\Board\LastReadings;
use Carbon\CarbonImmutable;
use Closure;

/**
 * Takes a file into a planter's record through the inbox, as if a device had sent it: the whole of it, or its good lines,
 * in one change. A preview does the same and takes all of it back, so that it cannot say anything else.
 */
final readonly class ImportFile
{
    private const CHUNK = 500;

    /** More lines than these that cannot be true, and the file is another planter's. */
    private const MOST_IMPOSSIBLE = 100;

    public function __construct(
        private Change $change,
        private LastReadings $lastReadings,
    ) {
    }

    /**
     * @param  list<int>  $leaveOut  numbers of lines that are not wanted
     * @param  Closure(int, float): void  $progress  told the lines read and the share of the file
     *
     * @throws RefusedFile
     */
    public function __invoke(Planter $planter, User $by, CsvFile $file, Mapping $mapping, ImportMode $mode, array $leaveOut, string $name, string $sha256, Closure $progress): ImportReport
    {
        return $this->change->of(
            $planter,
            function (Planter $planter, Touched $touched) use ($by, $file, $mapping, $mode, $leaveOut, $name, $sha256, $progress): ImportReport {
                $intake = new Intake($this->lines($mapping->kind, $planter, $by, $touched), new Inbox($planter, $by), $planter, $touched);
                $report = self::takeIn($intake, $file, $mapping, array_flip($leaveOut), $progress);
                if (self::isKept($report, $mode)) {
                    Import::query()->create([
                        'planter_id' => $planter->id, 'kind' => $mapping->kind->value, 'file_name' => mb_substr($name, 0, 200), 'sha256' => $sha256,
                        'kept' => $report->kept, 'left_out' => $report->bad + count($leaveOut), 'user_id' => $by->id, 'imported_at' => CarbonImmutable::now(),
                    ]);
                } elseif ($mode !== ImportMode::Preview) {
                    $report->kept = 0;
                }

                return $report;
            },
            keep: static fn (ImportReport $report): bool => self::isKept($report, $mode),
        );
    }

    private static function isKept(ImportReport $report, ImportMode $mode): bool
    {
        return match ($mode) {
            ImportMode::Preview => false,
            ImportMode::Whole => $report->good > 0 && $report->bad === 0,
            ImportMode::Good => $report->good > 0,
        };
    }

    private function lines(ImportKind $kind, Planter $planter, User $by, Touched $touched): Lines
    {
        $ids = new LineIds($planter, $kind);

        return match ($kind) {
            ImportKind::Acres => new AcresLines($planter, $ids),
            ImportKind::Readings => new ReadingLines($planter, $by, $ids, $this->lastReadings, $touched),
            ImportKind::Changes => new ChangeLines($planter, $by, $ids, $touched),
        };
    }

    /**
     * @param  array<int, int>  $leaveOut  by line number
     * @param  Closure(int, float): void  $progress
     */
    private static function takeIn(Intake $intake, CsvFile $file, Mapping $mapping, array $leaveOut, Closure $progress): ImportReport
    {
        $report = new ImportReport;
        $share = 0.0;
        $waiting = 0;
        foreach ($file->lines() as $number => [$fields, $share, $fault]) {
            $report->see($fields);
            if (isset($leaveOut[$number])) {
                continue;
            }
            try {
                if ($fault !== null) {
                    throw RefusedLine::because($fault);
                }
                $intake->read($number, new LineFields($mapping->pick($fields), $mapping->dates), implode(' | ', $fields), $report);
            } catch (RefusedLine|Refused $refused) {
                $report->refuse($number, $refused->getMessage(), implode(' | ', $fields));
            }
            if (++$waiting >= self::CHUNK) {
                $intake->take($report);
                $progress($report->good + $report->bad, $share);
                $waiting = 0;
            }
        }
        $intake->take($report);
        $intake->hold($report, self::MOST_IMPOSSIBLE);
        $report->sort();
        $progress($report->good + $report->bad, $share);

        return $report;
    }
}
