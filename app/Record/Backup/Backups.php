<?php

declare(strict_types=1);

namespace App\Record\Backup;

use App\Models\Workshop;
use App\Spec\Manuals\ManualFiles;
use App\Walk\Photos\PhotoFiles;
use Carbon\CarbonImmutable;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;

/** Writes backups, takes one back, and lets go of those that are too many. */
final readonly class Backups
{
    private const NAME = '/^ustrel-(\d{4}-\d{2}-\d{2}T\d{6}Z)\.backup$/';

    private const FOLDER = '/.backup-';

    private const HELD = '.held';

    public function __construct(private Filesystem $files, private Archive $archive, private Manifest $manifest)
    {
    }

    /**
     * @return string the file
     *
     * @throws BackupFailed
     */
    public function write(string $into, ?string $passphrase): string
    {
        $this->files->ensureDirectoryExists($into, 0700);
        $file = $into.'/ustrel-'.CarbonImmutable::now('UTC')->format('Y-m-d\THis\Z').'.backup';

        return $this->within($into, function (string $folder) use ($file, $passphrase): string {
            // The database first: a picture is on the disk before its line is in the database.
            $counts = Dump::write("{$folder}/".Manifest::DUMP, Manifest::counts(...));
            foreach (self::roots() as $within => $root) {
                if ($this->files->isDirectory($root)) {
                    $this->files->copyDirectory($root, "{$folder}/{$within}") || throw BackupFailed::because('not_written', ['file' => $file]);
                }
            }
            $this->manifest->write($folder, $counts);
            $this->archive->pack($folder, $file, $passphrase);

            return $file;
        });
    }

    /**
     * Into an installation that holds nothing yet.
     *
     * @return bool whether the key is that of the backup: if it is another, everybody signs in anew
     *
     * @throws BackupFailed where it does not fit; then nothing was changed
     */
    public function takeBack(string $file, ?string $passphrase): bool
    {
        if (! is_file($file)) {
            throw BackupFailed::because('no_file', ['file' => $file]);
        }
        if (Workshop::query()->exists()) {
            throw BackupFailed::because('not_empty');
        }

        return $this->within(storage_path('app'), function (string $folder) use ($file, $passphrase): bool {
            $this->archive->unpack($file, $folder, $passphrase);
            $said = $this->manifest->check($folder);
            Dump::takeBack("{$folder}/".Manifest::DUMP);
            foreach (self::roots() as $within => $root) {
                $this->files->deleteDirectory($root);
                if ($this->files->isDirectory("{$folder}/{$within}")) {
                    $this->files->moveDirectory("{$folder}/{$within}", $root);
                }
            }
            if (Manifest::counts() !== $said['counts']) {
                throw BackupFailed::because('counts');
            }
            Artisan::call('migrate', ['--force' => true]);
            if (Artisan::call('ustrel:rebuild') !== 0) {
                throw BackupFailed::because('not_equal');
            }

            return $said['key'] === Manifest::keyFingerprint();
        });
    }

    /** @return array<string, string> what is on disk beside the database: where it is, by where it is within a backup */
    private static function roots(): array
    {
        return [Manifest::PHOTOS => PhotoFiles::root(), Manifest::MANUALS => ManualFiles::root()];
    }

    /** Where the nightly ones are. */
    public static function folder(): string
    {
        return storage_path('backups');
    }

    /** @return array<string, CarbonImmutable> when each was made, by path, the newest last */
    public function all(string $in): array
    {
        $made = [];
        foreach ($this->files->isDirectory($in) ? $this->files->files($in) : [] as $file) {
            if (preg_match(self::NAME, $file->getFilename(), $found) === 1) {
                $made[$file->getPathname()] = CarbonImmutable::createFromFormat('!Y-m-d\THis\Z', $found[1], 'UTC') ?: CarbonImmutable::now();
            }
        }
        ksort($made);

        return $made;
    }

    /** @return int how many were let go of */
    public function thin(string $in): int
    {
        $days = $this->all($in);
        $kept = Retention::of($days);
        $this->files->delete(array_keys(array_diff_key($days, array_flip($kept))));

        return count($days) - count($kept);
    }

    /** Puts away what killed backups have left: unsealed dumps among it. */
    private function clean(string $in): void
    {
        $isBusy = false;
        foreach (glob($in.self::FOLDER.'*', GLOB_ONLYDIR) ?: [] as $folder) {
            $held = fopen($folder.self::HELD, 'c');
            if ($held === false || ! flock($held, LOCK_EX | LOCK_NB)) {
                $isBusy = true;

                continue;
            }
            $this->files->deleteDirectory($folder);
            fclose($held);
            $this->files->delete($folder.self::HELD);
        }
        if (! $isBusy) {
            $this->files->delete(glob("{$in}/*.backup.part") ?: []);
        }
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $work  with a folder that is gone afterwards, whatever comes of it
     * @return T
     */
    private function within(string $beside, callable $work): mixed
    {
        $this->clean($beside);
        $folder = $beside.self::FOLDER.bin2hex(random_bytes(6));
        $this->files->makeDirectory($folder, 0700, true);
        // As long as somebody works in it, it is locked; a lock ends with who holds it, killed or not.
        $held = fopen($folder.self::HELD, 'c') ?: throw BackupFailed::because('not_written', ['file' => $folder]);
        flock($held, LOCK_EX);
        try {
            return $work($folder);
        } finally {
            $this->files->deleteDirectory($folder);
            fclose($held);
            $this->files->delete($folder.self::HELD);
        }
    }
}
