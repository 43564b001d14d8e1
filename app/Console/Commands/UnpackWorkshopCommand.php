<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\People\Role;
use App\Models\User;
use App\People\Passwords;
use App\Record\Parcel\ParcelFailed;
use App\Record\Parcel\UnpackWorkshop as Unpack;
use Illuminate\Console\Command;

final class UnpackWorkshopCommand extends Command
{
    protected $signature = 'ustrel:unpack-workshop {file : That ustrel:pack-workshop has written}';

    protected $description = 'Take in a workshop from another installation, beside those that are here';

    public function handle(Unpack $unpack, Passwords $passwords): int
    {
        try {
            $workshop = $unpack((string) $this->argument('file'));
        } catch (ParcelFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }
        $this->info(__('parcel.unpacked', ['workshop' => $workshop->name]));
        // Passwords stay behind; the owners let the others in.
        foreach (User::query()->letIn()->where('workshop_id', $workshop->id)->where('role', Role::Owner)->orderBy('id')->get() as $owner) {
            $this->line("{$owner->name}: ".$passwords->linkFor($owner, (string) config('app.url')));
        }

        return self::SUCCESS;
    }
}
