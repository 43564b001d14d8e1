<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use App\Models\Walk\Photo;
use Illuminate\Filesystem\Filesystem;

/** The pictures of photos on disk, outside the web root: each as a picture and as a thumbnail. */
final readonly class PhotoFiles
{
    public const LONGEST = 1600;

    public const LONGEST_THUMBNAIL = 320;

    public function __construct(private Filesystem $files)
    {
    }

    public function keep(string $id, int $planterId, MadePicture $picture): void
    {
        $this->files->ensureDirectoryExists(dirname($this->path($id, $planterId, false)));
        $this->files->replace($this->path($id, $planterId, true), $picture->thumbnail());
        $this->files->replace($this->path($id, $planterId, false), $picture->picture());
    }

    public function pathOf(Photo $photo, bool $thumbnail): string
    {
        return $this->path($photo->id, $photo->planter_id, $thumbnail);
    }

    /** Where all of them are. */
    public static function root(): string
    {
        return storage_path('app/photos');
    }

    private function path(string $id, int $planterId, bool $thumbnail): string
    {
        return self::root()."/{$planterId}/{$id}".($thumbnail ? '.thumb.jpg' : '.jpg');
    }
}
