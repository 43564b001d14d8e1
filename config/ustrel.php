<?php

declare(strict_types=1);

return [
    // The address that people use, where it is not the one that Ustrel listens at; null: whatever was asked for.
    'public_url' => env('USTREL_URL') ?: null,

    // Where what stands in for devices answers, on this machine; null where it does not run.
    'stand_in_port' => ((int) env('USTREL_STAND_IN_PORT')) ?: null,
];
