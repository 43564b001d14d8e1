<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\People\Attempt;
use App\Models\People\DeviceSession;
use App\Models\Record\Import;
use App\Record\Import\ImportFiles;
use App\Record\Import\ImportMode;
use App\Spec\Manuals\ManualFiles;
use App\Walk\Photos\OrphanPhotos;
use Illuminate\Console\Command;

final class Tidy extends Command
{
    protected $signature = 'ustrel:tidy';

    protected $description = 'Remove what nothing hangs on any more: pictures without a photo, files without a manual, tries, sessions and files that are over';

    public function handle(OrphanPhotos $orphans, ManualFiles $manuals, ImportFiles $files): int
    {
        $removed = $orphans->remove();
        $manuals->removeOrphans();
        $files->removeOld();
        Import::query()->where('mode', ImportMode::Preview)->where('imported_at', '<', now()->subDay())->delete();
        Attempt::query()->where('until', '<', now())->delete();
        DeviceSession::query()->where('last_activity', '<', now()->subMinutes((int) config('session.lifetime'))->getTimestamp())->delete();
        $this->info("{$removed} pictures that no photo had were removed.");

        return self::SUCCESS;
    }
}
