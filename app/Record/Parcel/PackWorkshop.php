<?php

declare(strict_types=1);

namespace App\Record\Parcel;

use App\Http\CsvSheet;
use App\Models\Manual;
use App\Models\Walk\Photo;
use App\Models\Workshop;
use App\Spec\Manuals\ManualFiles;
use App\Walk\Photos\PhotoFiles;
use Generator;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use ZipArchive;

/** Writes all of one workshop into a file that any program can open, and that another installation takes in. */
final readonly class PackWorkshop
{
    private const AT_ONCE = 2000;

    /** For reading; what comes back is taken from the tables. */
    private const SHEETS = [
        'readings' => "SELECT planters.farm, planters.name AS planter, readings.taken_at AS date, row_number AS row, check_key AS check, side, result, COALESCE(typed, state, '') AS reading, value, readings.id FROM readings JOIN planters ON planters.id = planter_id WHERE workshop_id = ? ORDER BY planter_id, taken_at, readings.id",
        'acres' => 'SELECT farm, name AS planter, day AS date, field, crop, acres, mph AS speed, soil, residue, tillage, downforce, severity, withdrawn, acres_log.id, supersedes FROM acres_log JOIN planters ON planters.id = planter_id WHERE workshop_id = ? ORDER BY planter_id, day, acres_log.id',
        'part-changes' => 'SELECT farm, planters.name AS planter, happened_at AS date, kind, row_number AS row, slot, side, part_types.name AS part, size, reason, shims, pairs, cost, note, withdrawn, ledger_events.id, supersedes FROM ledger_events JOIN planters ON planters.id = planter_id LEFT JOIN part_types ON part_types.id = part_type_id WHERE planters.workshop_id = ? ORDER BY planter_id, happened_at, ledger_events.id',
        'notes' => 'SELECT farm, name AS planter, taken_at AS date, row_number AS row, check_key AS check, side, kind, text, withdrawn, notes.id, supersedes FROM notes JOIN planters ON planters.id = planter_id WHERE workshop_id = ? ORDER BY planter_id, taken_at, notes.id',
    ];

    public function __construct(private Filesystem $files, private Migrator $migrator, private PhotoFiles $photos, private ManualFiles $manuals)
    {
    }

    /** @throws ParcelFailed where there is no room, or the file is there already */
    public function __invoke(Workshop $workshop, string $file): void
    {
        if (is_file($file)) {
            throw ParcelFailed::because('is_there', ['file' => $file]);
        }
        $folder = dirname($file).'/parcel-'.Str::uuid7();
        @mkdir("{$folder}/tables", 0700, true) && mkdir("{$folder}/csv", 0700) ?: throw ParcelFailed::because('not_written', ['file' => $file]);
        try {
            $counts = DB::transaction(fn (): array => $this->writeOut($workshop, $folder));
            $this->files->put("{$folder}/".Content::ABOUT, json_encode([
                'format' => Content::FORMAT, 'made_at' => now()->toIso8601ZuluString(), 'workshop' => $workshop->name,
                'migrations' => Content::migrations($this->migrator), 'counts' => $counts, 'sha256' => $this->digests($folder),
            ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
            $this->zip($workshop, $folder, $file);
        } finally {
            $this->files->deleteDirectory($folder);
        }
    }

    /** @return array<string, int> lines by table */
    private function writeOut(Workshop $workshop, string $folder): array
    {
        if (DB::transactionLevel() === 1) {
            // All tables as they are at one moment.
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        }
        $counts = [];
        foreach (array_keys(Content::TABLES) as $model) {
            $file = fopen("{$folder}/".Content::file($model), 'w') ?: throw ParcelFailed::because('not_written', ['file' => $folder]);
            $leftOut = implode('', array_map(static fn (string $column): string => " - '{$column}'", Content::LEFT_OUT[$model] ?? []));
            $counts[Content::table($model)] = 0;
            foreach ($this->each('SELECT (to_jsonb(parcelled)'.$leftOut.')::text AS line FROM (SELECT * FROM '.Content::whose($model).') AS parcelled', $workshop->id) as $row) {
                self::put($file, $row['line']."\n");
                $counts[Content::table($model)]++;
            }
            fclose($file);
        }
        foreach (self::SHEETS as $name => $query) {
            $this->sheet("{$folder}/csv/{$name}.csv", $query, $workshop->id);
        }

        return $counts;
    }

    private function sheet(string $path, string $query, int $workshop): void
    {
        $file = fopen($path, 'w') ?: throw ParcelFailed::because('not_written', ['file' => $path]);
        $isFirst = true;
        foreach ($this->each($query, $workshop) as $row) {
            $isFirst && fputcsv($file, array_keys($row), escape: '');
            $isFirst = false;
            fputcsv($file, array_map(static fn (mixed $value): string => CsvSheet::cell(is_bool($value) ? ($value ? 'yes' : 'no') : $value), $row), escape: '') === false && throw ParcelFailed::because('not_written', ['file' => $path]);
        }
        fclose($file);
    }

    /** @return Generator<int, array<string, mixed>> some at a time, however many there are */
    private function each(string $query, int $workshop): Generator
    {
        DB::statement("DECLARE parcelled NO SCROLL CURSOR FOR {$query}", [$workshop]);
        while (($rows = DB::select('FETCH '.self::AT_ONCE.' FROM parcelled')) !== []) {
            foreach ($rows as $row) {
                yield (array) $row;
            }
        }
        DB::statement('CLOSE parcelled');
    }

    private function zip(Workshop $workshop, string $folder, string $file): void
    {
        $half = "{$file}.part";
        $zip = new ZipArchive;
        $zip->open($half, ZipArchive::CREATE | ZipArchive::EXCL) === true || throw ParcelFailed::because('not_written', ['file' => $file]);
        foreach ($this->files->allFiles($folder) as $one) {
            $zip->addFile($one->getPathname(), $one->getRelativePathname());
        }
        $photos = Photo::query()->whereIn('planter_id', $workshop->planters()->toBase()->select('id'))->orderBy('id');
        foreach ($photos->lazyById(500) as $photo) {
            foreach ([false, true] as $isThumbnail) {
                $path = $this->photos->pathOf($photo, $isThumbnail);
                // Pictures are packed as tightly as they can be.
                is_file($path) && $zip->addFile($path, self::inside($photo->id, $isThumbnail)) && $zip->setCompressionName(self::inside($photo->id, $isThumbnail), ZipArchive::CM_STORE);
            }
        }
        foreach (Manual::query()->where('workshop_id', $workshop->id)->orderBy('id')->get() as $manual) {
            $path = $this->manuals->pathOf($manual);
            is_file($path) && $zip->addFile($path, self::manual($manual->sha256));
        }
        if (! @$zip->close() || ! rename($half, $file)) {
            $this->files->delete($half);

            throw ParcelFailed::because('not_written', ['file' => $file]);
        }
        chmod($file, 0600);
    }

    /** Where a picture is within the parcel. */
    public static function inside(string $photo, bool $isThumbnail): string
    {
        return "photos/{$photo}".($isThumbnail ? '.thumbnail' : '').'.jpg';
    }

    /** Where a manual is within the parcel. */
    public static function manual(string $sha256): string
    {
        return "manuals/{$sha256}.pdf";
    }

    /** @return array<string, string> by path within the parcel */
    private function digests(string $folder): array
    {
        $digests = [];
        foreach (array_keys(Content::TABLES) as $model) {
            $digests[Content::file($model)] = (string) hash_file('sha256', "{$folder}/".Content::file($model));
        }

        return $digests;
    }

    /** @param  resource  $file */
    private static function put($file, string $text): void
    {
        @fwrite($file, $text) === strlen($text) || throw ParcelFailed::because('not_written', ['file' => stream_get_meta_data($file)['uri'] ?? '']);
    }
}
