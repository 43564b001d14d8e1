<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\ApiDigest;
use Illuminate\Console\Command;
use OpenApi\Generator;
use Symfony\Component\Console\Output\OutputInterface;

final class WriteOpenApi extends Command
{
    protected $signature = 'ustrel:openapi {--digest : The paths and fields alone, a line each}';

    protected $description = 'Print the OpenAPI document that the attributes of controllers, requests and shapes make';

    public function handle(): int
    {
        $document = Generator::scan([app_path()], ['version' => '3.1.0']);
        if ($document === null || ! $document->validate()) {
            $this->error('The attributes do not make a valid OpenAPI document.');

            return self::FAILURE;
        }
        $document->info->version = (string) config('ustrel.version');
        $this->output->writeln($this->option('digest') ? ApiDigest::of((array) json_decode($document->toJson(), true)) : $document->toJson(), OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
