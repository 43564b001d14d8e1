<?php

declare(strict_types=1);

use App\Models\Walk\Photo;
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

it('removes what was half made when the server went down: pictures, and workshops that were being packed', function (): void {
    $left = [PictureMaker::root().'/'.Str::uuid7(), PictureMaker::root().'/parcel-'.Str::uuid7(), PictureMaker::root().'/'.Str::uuid7().'.zip', PictureMaker::root().'/'.Str::uuid7().'.zip.part'];
    $young = PictureMaker::root().'/'.Str::uuid7();
    foreach ([$left[0], $left[1], $young] as $folder) {
        mkdir($folder, 0700, true);
    }
    array_map(touch(...), [$left[2], $left[3]]);
    foreach ($left as $one) {
        touch($one, time() - 100_000);
    }
    app(OrphanPhotos::class)->remove();
    expect(array_filter($left, file_exists(...)))->toBe([])->and(is_dir($young))->toBeTrue();
    rmdir($young);
});
