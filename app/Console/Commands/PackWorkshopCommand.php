<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Workshop;
use App\Record\Parcel\PackWorkshop as Pack;
use App\Record\Parcel\ParcelFailed;
use Illuminate\Console\Command;

final class PackWorkshopCommand extends Command
{
    protected $signature = 'ustrel:pack-workshop {file : To be written, such as /tmp/our-shop.zip} {--name= : Of the workshop, where there are several}';

    protected $description = 'Write all of one workshop into an open archive that another installation takes in';

    public function handle(Pack $pack): int
    {
        $name = $this->option('name');
        $workshops = Workshop::query()->when($name !== null, static fn ($query) => $query->where('name', $name))->orderBy('id')->get();
        if ($workshops->count() !== 1) {
            $this->error(__('parcel.which', ['names' => Workshop::query()->orderBy('name')->pluck('name')->join(', ') ?: '-']));

            return self::FAILURE;
        }
        try {
            $pack($workshops->firstOrFail(), (string) $this->argument('file'));
        } catch (ParcelFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }
        $this->info(__('parcel.packed', ['workshop' => $workshops->firstOrFail()->name, 'file' => (string) $this->argument('file')]));

        return self::SUCCESS;
    }
}
