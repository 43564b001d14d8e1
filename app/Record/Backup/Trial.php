<?php

declare(strict_types=1);

namespace App\Record\Backup;

use Carbon\CarbonImmutable;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;

/** Tries the newest backup by taking it back into a database that is thrown away, and keeps what came of it. */
final readonly class Trial
{
    private const DATABASE = 'ustrel_trial';

    public function __construct(private Filesystem $files, private Backups $backups, private Archive $archive, private Manifest $manifest)
    {
    }

    /**
     * @return string the file that was tried
     *
     * @throws BackupFailed where it cannot be taken back, or not whole
     */
    public function __invoke(string $in, ?string $passphrase): string
    {
        $file = array_key_last($this->backups->all($in)) ?? throw BackupFailed::because('no_backup');
        try {
            $this->takeBack($file, $in, $passphrase);
            $this->note($in, $file, null);
        } catch (BackupFailed $failed) {
            $this->note($in, $file, $failed->getMessage());
            throw $failed;
        }

        return $file;
    }

    /** @return array{file: string, at: string, why: string|null}|null what the last trial came to; why it failed */
    public function last(string $in): ?array
    {
        $kept = "{$in}/trial.json";

        return $this->files->exists($kept) ? json_decode($this->files->get($kept), true, 4, JSON_THROW_ON_ERROR) : null;
    }

    private function takeBack(string $file, string $in, ?string $passphrase): void
    {
        $folder = "{$in}/.trial-".bin2hex(random_bytes(6));
        $this->files->makeDirectory($folder, 0700);
        config(['database.connections.trial' => ['database' => self::DATABASE] + config('database.connections.pgsql')]);
        try {
            $this->archive->unpack($file, $folder, $passphrase);
            $said = $this->manifest->check($folder);
            DB::statement('DROP DATABASE IF EXISTS '.self::DATABASE);
            DB::statement('CREATE DATABASE '.self::DATABASE);
            Dump::takeBack("{$folder}/".Manifest::DUMP, self::DATABASE);
            if (Manifest::counts('trial') !== $said['counts']) {
                throw BackupFailed::because('not_whole');
            }
        } finally {
            DB::purge('trial');
            DB::statement('DROP DATABASE IF EXISTS '.self::DATABASE);
            $this->files->deleteDirectory($folder);
        }
    }

    private function note(string $in, string $file, ?string $why): void
    {
        $this->files->replace("{$in}/trial.json", json_encode(['file' => basename($file), 'at' => CarbonImmutable::now()->toIso8601ZuluString(), 'why' => $why], JSON_THROW_ON_ERROR));
    }
}
