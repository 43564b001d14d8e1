<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Api\Contract;
use App\Http\ApiDigest;
use Illuminate\Console\Command;
use OpenApi\Generator;
use Symfony\Component\Console\Output\OutputInterface;

final class WriteOpenApi extends Command
{
    protected $signature = 'ustrel:openapi {--digest : The paths and fields alone, a line each}';

    protected $description = 'Print the OpenAPI document that schema classes, routes and attributes make';

    public function handle(): int
    {
        $scanned = Generator::scan([app_path()], ['version' => '3.1.0', 'validate' => false]);
        $document = Contract::complete((array) json_decode((string) $scanned?->toJson(), true));
        $dangling = Contract::dangling($document);
        if ($dangling !== []) {
            $this->error('The API document names what is not there: '.implode(', ', $dangling));

            return self::FAILURE;
        }
        $document['info']['version'] = (string) config('ustrel.version');
        $this->output->writeln($this->option('digest') ? ApiDigest::of($document) : (string) json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE), OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
