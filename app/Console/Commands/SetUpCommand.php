<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\People\SetUpWorkshop;
use Illuminate\Console\Command;

final class SetUpCommand extends Command
{
    protected $signature = 'ustrel:set-up';

    protected $description = 'Print the one-time address by which an empty installation is set up';

    public function handle(SetUpWorkshop $setUp): int
    {
        $link = $setUp->link();
        $this->line($link === null ? __('people.set_up_used') : $link->address);

        return $link === null ? self::FAILURE : self::SUCCESS;
    }
}
