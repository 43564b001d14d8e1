<?php

declare(strict_types=1);

use App\Models\Photo;
use App\Walk\Photos\OrphanPhotos;
use App\Walk\Photos\PhotoFiles;
use App\Walk\Photos\PictureMaker;
use Illuminate\Support\Str;

it('removes old pictures that no photo has, and no others', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    [$kept, $orphan, $young] = [(string) Str::uuid7(), (string) Str::uuid7(), (string) Str::uuid7()];
    $files = app(PhotoFiles::class);
    foreach ([$kept, $orphan, $young] as $id) {
        $files->keep($id, $planter->id, app(PictureMaker::class)->make(base_path('public/icon-192.png')));
    }
    Photo::query()->create([
        'id' => $kept, 'walk_id' => $walk->id, 'planter_id' => $planter->id, 'row_number' => 1, 'check_key' => 'seed_tube', 'side' => 'centre',
        'file_sha256' => str_repeat('0', 64), 'width' => 192, 'height' => 192, 'taken_at' => now(), 'recorded_at' => now(), 'user_id' => $this->technician->id,
    ]);
    $path = fn (string $id, string $end = '.jpg'): string => PhotoFiles::root()."/{$planter->id}/{$id}{$end}";
    foreach ([$kept, $orphan] as $id) {
        touch($path($id), time() - 100_000);
        touch($path($id, '.thumb.jpg'), time() - 100_000);
    }
    expect(app(OrphanPhotos::class)->remove())->toBe(1)
        ->and([is_file($path($kept)), is_file($path($orphan)), is_file($path($orphan, '.thumb.jpg')), is_file($path($young))])->toBe([true, false, false, true]);
});
