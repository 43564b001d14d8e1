<?php

declare(strict_types=1);

it('runs on the packages that are pinned, each in its version', function (): void {
    $installed = json_decode((string) file_get_contents(base_path('vendor/composer/installed.json')), true)['packages'];
    $pinned = array_column(array_map(static fn (string $line): array => explode(' ', $line), file(base_path('composer.pins'), FILE_IGNORE_NEW_LINES) ?: []), 1, 0);
    foreach ($installed as ['name' => $name, 'version' => $version]) {
        $name === 'ustrel/core' || expect($pinned[$name] ?? 'not pinned: run bin/ustrel pins')->toBe($version, $name);
    }
    expect(count($pinned))->toBe(count($installed) - 1);
});
