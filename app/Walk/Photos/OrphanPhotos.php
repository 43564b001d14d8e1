<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use App\Models\Walk\Photo;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Str;

/** Picture files that no photo has: what was being sent when the server went down, before its line was written. */
final readonly class OrphanPhotos
{
    /** Younger ones may just be on their way. */
    private const OLD_HOURS = 24;

    private const AT_ONCE = 500;

    public function __construct(private Filesystem $files)
    {
    }

    /** @return int how many pictures, each with its thumbnail */
    public function remove(): int
    {
        $long = now()->subHours(self::OLD_HOURS)->getTimestamp();
        if ($this->files->isDirectory(PictureMaker::root())) {
            foreach ([...$this->files->directories(PictureMaker::root()), ...$this->files->glob(PictureMaker::root().'/*.zip*')] as $left) {
                $isOld = $this->files->lastModified($left) < $long;
                $isOld && ($this->files->isDirectory($left) ? $this->files->deleteDirectory($left) : $this->files->delete($left));
            }
        }
        if (! $this->files->isDirectory(PhotoFiles::root())) {
            return 0;
        }
        $old = [];
        foreach ($this->files->allFiles(PhotoFiles::root()) as $file) {
            if ($file->getMTime() < $long) {
                $old[Str::before($file->getFilename(), '.')][] = $file->getPathname();
            }
        }
        $removed = 0;
        foreach (array_chunk($old, self::AT_ONCE, true) as $some) {
            $known = Photo::query()->whereIn('id', array_filter(array_keys($some), Str::isUuid(...)))->pluck('id')->flip()->all();
            foreach (array_diff_key($some, $known) as $paths) {
                $this->files->delete($paths);
                $removed++;
            }
        }

        return $removed;
    }
}
