<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use OpenApi\Generator;

final class WriteOpenApi extends Command
{
    protected $signature = 'ustrel:openapi {file=openapi.json : Where to, absolute or from the folder of the application}';

    protected $description = 'Write the OpenAPI document from the attributes of controllers, requests and resources';

    public function handle(): int
    {
        $document = Generator::scan([app_path()], ['version' => '3.1.0']);
        if ($document === null || ! $document->validate()) {
            $this->error('The attributes do not make a valid OpenAPI document.');

            return self::FAILURE;
        }
        $file = $this->argument('file');
        file_put_contents(str_starts_with($file, '/') ? $file : base_path($file), $document->toJson()."\n");

        return self::SUCCESS;
    }
}
