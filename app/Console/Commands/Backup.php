<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Record\Backup\BackupFailed;
use App\Record\Backup\Backups;
use Illuminate\Console\Command;

final class Backup extends Command
{
    protected $signature = 'ustrel:backup {--to= : The folder to write into} {--thin : Then keep 7 days, 4 weeks and 12 months of those there}';

    protected $description = 'Write everything into one file; sealed where USTREL_BACKUP_PASSPHRASE is set';

    public function handle(Backups $backups): int
    {
        $to = $this->option('to') ?? Backups::folder();
        try {
            $file = $backups->write($to, getenv('USTREL_BACKUP_PASSPHRASE') ?: null);
        } catch (BackupFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }
        $this->info(__('backup.written', ['file' => $file, 'size' => number_format(max(1, (int) filesize($file) / 1_000_000), 0)]));
        if ($this->option('thin')) {
            $backups->thin($to);
        }

        return self::SUCCESS;
    }
}
