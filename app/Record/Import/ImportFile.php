<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Models\User;
use App\Record\RecordProjector;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Takes a file into a planter's record: the whole of it, or its good lines, in one transaction. A preview does the same
 * and takes all of it back, so that it cannot say anything else.
 */
final readonly class ImportFile
{
    private const CHUNK = 500;

    public function __construct(private RecordProjector $projector)
    {
    }

    /**
     * @param  list<int>  $leaveOut  numbers of lines that are not wanted
     * @param  Closure(int, float): void  $progress  told the lines read and the share of the file
     *
     * @throws RefusedFile
     */
    public function __invoke(Planter $planter, User $by, CsvFile $file, Mapping $mapping, ImportMode $mode, array $leaveOut, string $name, string $sha256, Closure $progress): ImportReport
    {
        DB::beginTransaction();
        try {
            $planter = Planter::query()->with(['specSheet', 'workshop'])->lockForUpdate()->findOrFail($planter->id);
            $report = self::takeIn($this->lines($mapping->kind, $planter, $by), $file, $mapping, array_flip($leaveOut), $progress);
            if ($mode === ImportMode::Preview) {
                DB::rollBack();
            } elseif ($report->good === 0 || ($mode === ImportMode::Whole && $report->bad > 0)) {
                DB::rollBack();
                $report->kept = 0;
            } else {
                DB::table('imports')->insert([
                    'planter_id' => $planter->id, 'kind' => $mapping->kind->value, 'file_name' => mb_substr($name, 0, 200), 'sha256' => $sha256,
                    'kept' => $report->kept, 'left_out' => $report->bad + count($leaveOut), 'user_id' => $by->id, 'imported_at' => CarbonImmutable::now(),
                ]);
                DB::commit();
            }

            return $report;
        } catch (Throwable $fault) {
            DB::rollBack();

            throw $fault;
        }
    }

    private function lines(ImportKind $kind, Planter $planter, User $by): Lines
    {
        $ids = new LineIds($planter->id, $kind);

        return match ($kind) {
            ImportKind::Acres => new AcresLines($planter, $by, $this->projector, $ids),
            ImportKind::Readings => new ReadingLines($planter, $by, $this->projector, $ids),
            ImportKind::Changes => new ChangeLines($planter, $by, $this->projector, $ids),
        };
    }

    /**
     * @param  array<int, int>  $leaveOut  by line number
     * @param  Closure(int, float): void  $progress
     */
    private static function takeIn(Lines $lines, CsvFile $file, Mapping $mapping, array $leaveOut, Closure $progress): ImportReport
    {
        $report = new ImportReport;
        $chunk = [];
        $share = 0.0;
        foreach ($file->lines() as $number => [$fields, $share]) {
            $report->see($fields);
            if (isset($leaveOut[$number])) {
                continue;
            }
            try {
                $read = $lines->read(new LineFields($mapping->pick($fields), $mapping->dates));
                $chunk[$number] = $read->kept;
                $report->good++;
                if ($read->doubt !== null) {
                    $report->doubt($number, $read->doubt, implode(' | ', $fields));
                }
            } catch (RefusedLine $refused) {
                $report->refuse($number, $refused->getMessage(), implode(' | ', $fields));
            }
            if (count($chunk) >= self::CHUNK) {
                self::keep($lines, $chunk, $report);
                $chunk = [];
                $progress($report->good + $report->bad, $share);
            }
        }
        self::keep($lines, $chunk, $report);
        foreach ($lines->finish() as $number => $message) {
            $report->refuse($number, $message);
            $report->good--;
            $report->kept--;
        }
        $progress($report->good + $report->bad, $share);

        return $report;
    }

    /** @param  array<int, array<string, mixed>>  $chunk  by line number */
    private static function keep(Lines $lines, array $chunk, ImportReport $report): void
    {
        if ($chunk !== []) {
            $kept = $lines->keep($chunk);
            $report->kept += $kept;
            $report->known += count($chunk) - $kept;
        }
    }
}
