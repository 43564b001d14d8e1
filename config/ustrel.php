<?php

declare(strict_types=1);

return [
    'version' => trim((string) file_get_contents(base_path('VERSION'))),

    // The address that people use, where it is not the one that Ustrel listens at; null: whatever was asked for.
    'public_url' => env('USTREL_URL') ?: null,

    // Says at which port of this machine what stands in for devices answers. It may choose another one at any time.
    'stand_in_port_file' => env('USTREL_STAND_IN_PORT_FILE') ?: null,
];
