<?php

declare(strict_types=1);

namespace App\Record\Parcel;

use App\Models\Manual;
use App\Models\People\Activity;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Photo;
use App\Models\Workshop;
use App\Record\Rebuild;
use App\Spec\Manuals\ManualFiles;
use App\Walk\Photos\PhotoFiles;
use App\Yard\FirstDay\FirstDay;
use Generator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use JsonException;
use ZipArchive;

/** Takes a workshop in from another installation, beside those that are here: all of it, or nothing. */
final readonly class UnpackWorkshop
{
    private const AT_ONCE = 500;

    /** No line of ours is longer, bytes. */
    private const LONGEST = 4_000_000;

    /** What is kept of a picture is a tenth of it, bytes. */
    private const LARGEST_PICTURE = 10_000_000;

    private const MOST_PIXELS = 4096;

    public function __construct(private Migrator $migrator, private Filesystem $files, private PhotoFiles $photos, private ManualFiles $manuals, private Rebuild $rebuild, private FirstDay $firstDay)
    {
    }

    /** @throws ParcelFailed naming what does not fit; nothing was changed */
    public function __invoke(string $file): Workshop
    {
        $zip = new ZipArchive;
        if (! is_file($file) || $zip->open($file, ZipArchive::RDONLY) !== true) {
            throw ParcelFailed::because('none', ['file' => $file]);
        }
        $about = $this->look($zip, $file);
        $kept = [];
        try {
            return DB::transaction(function () use ($zip, $about, &$kept): Workshop {
                $workshop = $this->takeIn($zip, $about['counts']);
                self::keepApart($workshop, $about['counts']);
                $this->firstDay->skipAll($workshop);
                $kept = $this->pictures($zip, $workshop);
                $this->manuals($zip, $workshop);
                $workshop->planters()->orderBy('id')->get()->each($this->rebuild->__invoke(...));

                return $workshop;
            });
        } catch (UniqueConstraintViolationException) {
            throw ParcelFailed::because('is_here', ['workshop' => $about['workshop']]);
        } finally {
            // Only what is on record now keeps its pictures.
            foreach (array_chunk($kept, self::AT_ONCE, true) as $some) {
                $this->files->delete(array_merge(...array_values(array_diff_key($some, Photo::query()->whereIn('id', array_keys($some))->pluck('id', 'id')->all()))));
            }
            $zip->close();
        }
    }

    /**
     * @return array{workshop: string, counts: array<string, int>}
     *
     * @throws ParcelFailed
     */
    private function look(ZipArchive $zip, string $file): array
    {
        try {
            $about = json_decode((string) $zip->getFromName(Content::ABOUT), true, 8, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw ParcelFailed::because('none', ['file' => $file]);
        }
        if (! is_array($about) || ($about['format'] ?? null) !== Content::FORMAT || ! is_array($about['counts'] ?? null) || ! is_array($about['sha256'] ?? null) || ! is_string($about['workshop'] ?? null)) {
            throw ParcelFailed::because('none', ['file' => $file]);
        }
        if (($about['migrations'] ?? null) !== Content::migrations($this->migrator)) {
            throw ParcelFailed::because('other_version');
        }
        foreach (array_keys(Content::TABLES) as $model) {
            $stream = $zip->getStream(Content::file($model));
            $digest = hash_init('sha256');
            $stream === false || hash_update_stream($digest, $stream);
            if ($stream === false || hash_final($digest) !== ($about['sha256'][Content::file($model)] ?? null)) {
                throw ParcelFailed::because('altered', ['file' => Content::file($model)]);
            }
        }

        return ['workshop' => $about['workshop'], 'counts' => array_map(intval(...), $about['counts'])];
    }

    /** @param  array<string, int>  $counts  lines by table */
    private function takeIn(ZipArchive $zip, array $counts): Workshop
    {
        /** @var array<class-string<Model>, array<int, int>> $ids that they have here, by model and the one they had */
        $ids = [SpecSheet::class => []];
        foreach (Content::TABLES as $model => $refers) {
            // What others ask for by its number is put in one by one, to learn what it is called here.
            $atOnce = (new $model)->getIncrementing() ? 1 : self::AT_ONCE;
            $columns = self::columns($model);
            $put = 0;
            $some = [];
            foreach (self::lines($zip, Content::file($model)) as [$text, $line]) {
                $put++;
                if ($model === SpecSheet::class && $line['workshop_id'] === null) {
                    $ids[$model][$line['id']] = self::typical($line['type']);

                    continue;
                }
                $some[] = [$text, $this->here($model, $line, $refers, $ids)];
                if (count($some) === $atOnce) {
                    $first = self::insert($model, $columns, $some);
                    $some = [];
                    if ($atOnce === 1) {
                        $ids[$model][$line['id']] = (int) $first;
                    }
                }
            }
            $some === [] || self::insert($model, $columns, $some);
            if ($put !== ($counts[Content::table($model)] ?? null)) {
                throw ParcelFailed::because('altered', ['file' => Content::file($model)]);
            }
        }

        return Workshop::query()->findOrFail(array_values($ids[Workshop::class] ?? [])[0] ?? 0);
    }

    /**
     * Whatever the parcel says, nothing in it belongs to another workshop or hangs on something of one.
     *
     * @param  array<string, int>  $counts  lines by table
     *
     * @throws ParcelFailed
     */
    private static function keepApart(Workshop $workshop, array $counts): void
    {
        $tables = array_combine(array_map(Content::table(...), array_keys(Content::TABLES)), array_keys(Content::TABLES));
        foreach ($tables as $table => $model) {
            $isOwn = DB::scalar('SELECT count(*) FROM (SELECT 1 FROM '.Content::whose($model).') AS own', [$workshop->id]) === ($counts[$table] ?? 0);
            if ($model !== SpecSheet::class && ! $isOwn) {
                throw ParcelFailed::because('altered', ['file' => Content::file($model)]);
            }
            foreach (Schema::getForeignKeys($table) as ['columns' => $columns, 'foreign_table' => $to, 'foreign_columns' => $of]) {
                if (! isset($tables[$to]) || in_array($to, ['workshops', 'planters', 'users', 'spec_sheets'], true)) {
                    continue;
                }
                $strays = "SELECT EXISTS (SELECT 1 FROM {$table} AS line JOIN {$to} AS there ON there.{$of[0]} = line.{$columns[0]} WHERE ".self::owned($table, 'line').' AND NOT '.self::owned($to, 'there').')';
                if (DB::scalar($strays, [$workshop->id, $workshop->id])) {
                    throw ParcelFailed::because('altered', ['file' => Content::file($model)]);
                }
            }
        }
    }

    /** Whether a line is of a workshop, as SQL with its number for the mark. */
    private static function owned(string $table, string $line): string
    {
        $has = Schema::getColumnListing($table);
        $planters = 'SELECT id FROM planters WHERE workshop_id = ?';

        return match (true) {
            in_array('planter_id', $has, true) => "{$line}.planter_id IN ({$planters})",
            in_array('workshop_id', $has, true) => "{$line}.workshop_id = ?",
            in_array('stand_run_id', $has, true) => "{$line}.stand_run_id IN (SELECT id FROM stand_runs WHERE planter_id IN ({$planters}))",
            default => "{$line}.watch_run_id IN (SELECT id FROM watch_runs WHERE planter_id IN ({$planters}))",
        };
    }

    /**
     * What of a line is otherwise here.
     *
     * @param  class-string<Model>  $model
     * @param  array<string, mixed>  $line
     * @param  array<string, class-string<Model>>  $refers
     * @param  array<class-string<Model>, array<int, int>>  $ids
     * @return array<string, int|string|array<mixed>|null> by column
     */
    private function here(string $model, array $line, array $refers, array $ids): array
    {
        $here = [];
        foreach ($refers as $column => $to) {
            if (($line[$column] ?? null) !== null) {
                // What a guest did, who stays behind, was done by nobody that is known here.
                $here[$column] = $ids[$to][$line[$column]] ?? ($model === Activity::class || $column === 'made_by' ? null : throw ParcelFailed::because('altered', ['file' => Content::file($model)]));
            }
        }
        foreach (Content::WITHIN[$model] ?? [] as $column => [$field, $to]) {
            $here[$column] = array_map(static fn (array $item): array => [$field => isset($item[$field]) ? ($ids[$to][$item[$field]] ?? throw ParcelFailed::because('altered', ['file' => Content::file($model)])) : null] + $item, $line[$column]);
        }
        if ($model === Workshop::class && Workshop::query()->where('import_key', $line['import_key'])->exists()) {
            throw ParcelFailed::because('is_here', ['workshop' => $line['name']]);
        }
        if ($model === Activity::class) {
            $here['subject_id'] = $ids[Relation::getMorphedModel($line['subject_type'] ?? '')][$line['subject_id']] ?? null;
        }
        if ($model === User::class) {
            if (User::query()->where('email', $line['email'])->exists()) {
                throw ParcelFailed::because('email_taken', ['email' => $line['email']]);
            }
            // Nobody knows it: the owner hands out links to choose one.
            $here['password'] = Hash::make(Str::random(60));
        }

        return $here;
    }

    /** @return array<string, list<string>> files that are kept now, by photo */
    private function pictures(ZipArchive $zip, Workshop $workshop): array
    {
        $kept = [];
        foreach (Photo::query()->whereIn('planter_id', $workshop->planters()->toBase()->select('id'))->lazyById(self::AT_ONCE) as $photo) {
            foreach ([false, true] as $isThumbnail) {
                $from = $zip->getStream(PackWorkshop::inside($photo->id, $isThumbnail));
                if ($from === false) {
                    continue;
                }
                $path = $this->photos->pathOf($photo, $isThumbnail);
                $this->files->ensureDirectoryExists(dirname($path));
                $kept[$photo->id][] = $path;
                $to = fopen($path, 'w') ?: throw ParcelFailed::because('not_written', ['file' => $path]);
                $size = stream_copy_to_stream($from, $to, self::LARGEST_PICTURE + 1);
                fclose($to) || throw ParcelFailed::because('not_written', ['file' => $path]);
                [$width, $height, $type] = @getimagesize($path) ?: [0, 0, null];
                if ($size > self::LARGEST_PICTURE || $type !== IMAGETYPE_JPEG || max($width, $height) > self::MOST_PIXELS) {
                    throw ParcelFailed::because('altered', ['file' => PackWorkshop::inside($photo->id, $isThumbnail)]);
                }
            }
        }

        return $kept;
    }

    /** What is not kept in the end is an orphan, and is put away as such. */
    private function manuals(ZipArchive $zip, Workshop $workshop): void
    {
        foreach (Manual::query()->where('workshop_id', $workshop->id)->get() as $manual) {
            $inside = PackWorkshop::manual($manual->sha256);
            $from = $zip->getStream($inside);
            if ($from === false) {
                continue;
            }
            $half = (string) tempnam(sys_get_temp_dir(), 'ustrel');
            $size = stream_copy_to_stream($from, fopen($half, 'w') ?: throw ParcelFailed::because('not_written', ['file' => $half]), 1024 * ManualFiles::LARGEST_KILOBYTES + 1);
            if ($size !== $manual->bytes || hash_file('sha256', $half) !== $manual->sha256 || ! ManualFiles::isPdf($half)) {
                $this->files->delete($half);

                throw ParcelFailed::because('altered', ['file' => $inside]);
            }
            $this->manuals->keep($manual->id, $half);
            $this->files->delete($half);
        }
    }

    /** @return Generator<int, array{string, array<string, mixed>}> each as it stands, and read */
    private static function lines(ZipArchive $zip, string $name): Generator
    {
        $stream = $zip->getStream($name) ?: throw ParcelFailed::because('altered', ['file' => $name]);
        while (($line = fgets($stream, self::LONGEST)) !== false) {
            $read = strlen($line) < self::LONGEST - 1 ? json_decode($line, true, 32) : null;
            yield is_array($read) ? [$line, $read] : throw ParcelFailed::because('altered', ['file' => $name]);
        }
    }

    /**
     * @param  class-string<Model>  $model
     * @param  list<string>  $columns
     * @param  non-empty-list<array{string, array<string, int|string|array<mixed>|null>}>  $lines  each as it stood, with what is otherwise here
     * @return mixed the id of the first
     */
    private static function insert(string $model, array $columns, array $lines): mixed
    {
        $table = Content::table($model);
        // Some are called as SQL itself calls things.
        $quoted = array_map(static fn (string $column): string => '"'.str_replace('"', '""', $column).'"', $columns);
        $put = implode(', ', $quoted);
        $taken = 'line.'.implode(', line.', $quoted);
        $pairs = array_map(static fn (array $line): string => "[{$line[0]}, ".json_encode((object) $line[1], JSON_THROW_ON_ERROR).']', $lines);

        return DB::scalar(
            "INSERT INTO {$table} ({$put}) SELECT {$taken} FROM jsonb_array_elements(?::jsonb) AS pair, LATERAL jsonb_populate_record(NULL::{$table}, (pair->0) || (pair->1)) AS line RETURNING ".((new $model)->getIncrementing() ? 'id' : 'true'),
            ['['.implode(', ', $pairs).']'],
        );
    }

    /**
     * Those of the table, never of the parcel; but none that the database fills in by itself.
     *
     * @param  class-string<Model>  $model
     * @return list<string>
     */
    private static function columns(string $model): array
    {
        $columns = array_filter(Schema::getColumns(Content::table($model)), static fn (array $column): bool => $column['generation'] === null);

        return array_values(array_diff(array_column($columns, 'name'), (new $model)->getIncrementing() ? ['id'] : []));
    }

    private static function typical(string $type): int
    {
        return (int) SpecSheet::query()->whereNull('workshop_id')->where('type', $type)->valueOrFail('id');
    }
}
