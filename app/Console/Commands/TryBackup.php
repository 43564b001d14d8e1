<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Record\Backup\BackupFailed;
use App\Record\Backup\Backups;
use App\Record\Backup\Trial;
use Illuminate\Console\Command;

final class TryBackup extends Command
{
    protected $signature = 'ustrel:try-backup {--in= : The folder with the backups}';

    protected $description = 'Take the newest backup back into a database that is thrown away, and keep what came of it';

    public function handle(Trial $try): int
    {
        try {
            $this->info(__('backup.tried', ['file' => $try($this->option('in') ?? Backups::folder(), getenv('USTREL_BACKUP_PASSPHRASE') ?: null)]));
        } catch (BackupFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
