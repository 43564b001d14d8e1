<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Record\Backup\BackupFailed;
use App\Record\Backup\Backups;
use Illuminate\Console\Command;

final class Restore extends Command
{
    protected $signature = 'ustrel:restore {file : A file that ustrel:backup has written}';

    protected $description = 'Take a backup back into an installation that is still empty';

    public function handle(Backups $backups): int
    {
        try {
            $isSameKey = $backups->takeBack((string) $this->argument('file'), getenv('USTREL_BACKUP_PASSPHRASE') ?: null);
        } catch (BackupFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }
        $this->info(__('backup.taken_back'));
        if (! $isSameKey) {
            $this->warn(__('backup.other_key'));
        }

        return self::SUCCESS;
    }
}
