<?php

declare(strict_types=1);

namespace App\Record\Backup;

use App\Models\Manual;
use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Note;
use App\Models\Walk\Photo;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Models\Wear\AcresEntry;
use App\Models\Workshop;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Filesystem\Filesystem;
use JsonException;

/** What a backup holds, by which it is looked over before it is taken back. */
final readonly class Manifest
{
    private const FORMAT = 1;

    public const FILE = 'manifest.json';

    public const DUMP = 'database.dump';

    public const PHOTOS = 'photos';

    public const MANUALS = 'manuals';

    /** The record and what it hangs on. */
    private const COUNTED = [Workshop::class, User::class, Planter::class, Walk::class, Reading::class, LedgerEvent::class, AcresEntry::class, Note::class, Photo::class, Manual::class];

    public function __construct(private Filesystem $files, private Migrator $migrator)
    {
    }

    /**
     * @param  string|null  $connection  to another database than the application's
     * @return array<string, int> how many of each there are now, by table
     */
    public static function counts(?string $connection = null): array
    {
        $counts = [];
        foreach (self::COUNTED as $model) {
            $counts[(new $model)->getTable()] = $model::on($connection)->count();
        }

        return $counts;
    }

    /** @param  array<string, int>  $counts  of what was dumped */
    public function write(string $folder, array $counts): void
    {
        $this->files->put("{$folder}/".self::FILE, json_encode([
            'format' => self::FORMAT,
            'made_at' => now()->toIso8601ZuluString(),
            'migrations' => $this->migrator->getRepository()->getRan(),
            'key' => self::keyFingerprint(),
            'counts' => $counts,
            'files' => $this->digests($folder),
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
    }

    /**
     * @return array{counts: array<string, int>, key: string}
     *
     * @throws BackupFailed where it is of a newer Ustrel, or what it lists is not what is there
     */
    public function check(string $folder): array
    {
        try {
            $said = json_decode($this->files->exists("{$folder}/".self::FILE) ? $this->files->get("{$folder}/".self::FILE) : '', true, 8, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw BackupFailed::because('none');
        }
        $known = array_keys($this->migrator->getMigrationFiles(database_path('migrations')));
        if (! is_array($said) || ($said['format'] ?? null) !== self::FORMAT || array_diff($said['migrations'], $known) !== []) {
            throw BackupFailed::because('newer');
        }
        if ($this->digests($folder) !== $said['files']) {
            throw BackupFailed::because('altered');
        }

        return ['counts' => $said['counts'], 'key' => $said['key']];
    }

    /** Tells one key from another, and nothing of it. */
    public static function keyFingerprint(): string
    {
        return substr(hash('sha256', 'ustrel|'.config('app.key')), 0, 16);
    }

    /** @return array<string, string> SHA-256 by path within the backup */
    private function digests(string $folder): array
    {
        $digests = [];
        foreach ($this->files->allFiles($folder) as $file) {
            if ($file->getRelativePathname() !== self::FILE) {
                $digests[$file->getRelativePathname()] = (string) hash_file('sha256', $file->getPathname());
            }
        }
        ksort($digests);

        return $digests;
    }
}
