<?php

declare(strict_types=1);

namespace App\Spec\Manuals;

use App\Models\Manual;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Str;

/** The files of manuals on disk, outside the web root. */
final readonly class ManualFiles
{
    public const LARGEST_KILOBYTES = 40 * 1024;

    /** Where the mark of a PDF may stand at its begin and at its end, bytes: PDF 32000-1, annex H. */
    private const MARKED_WITHIN = 1024;

    /** Younger ones may just be on their way. */
    private const OLD_HOURS = 24;

    public function __construct(private Filesystem $files)
    {
    }

    /** Whether a file is a PDF, whole from its first mark to its last. */
    public static function isPdf(string $path): bool
    {
        $size = (int) filesize($path);
        $head = (string) file_get_contents($path, length: self::MARKED_WITHIN);
        $tail = (string) file_get_contents($path, offset: max(0, $size - self::MARKED_WITHIN), length: self::MARKED_WITHIN);

        return str_contains($head, '%PDF-') && str_contains($tail, '%%EOF');
    }

    public function keep(int $id, string $from): void
    {
        $this->files->ensureDirectoryExists(self::root());
        $half = $this->path($id).'.part';
        $this->files->copy($from, $half);
        $this->files->move($half, $this->path($id));
    }

    public function pathOf(Manual $manual): string
    {
        return $this->path($manual->id);
    }

    public function remove(Manual $manual): void
    {
        $this->files->delete($this->path($manual->id));
    }

    /** @return int files that no manual has: what was being sent when the server went down */
    public function removeOrphans(): int
    {
        $removed = 0;
        foreach ($this->files->isDirectory(self::root()) ? $this->files->files(self::root()) : [] as $file) {
            $id = Str::before($file->getFilename(), '.');
            $isOld = $file->getMTime() < now()->subHours(self::OLD_HOURS)->getTimestamp();
            if ($isOld && (! ctype_digit($id) || Manual::query()->whereKey($id)->doesntExist())) {
                $this->files->delete($file->getPathname());
                $removed++;
            }
        }

        return $removed;
    }

    /** Where all of them are. */
    public static function root(): string
    {
        return storage_path('app/manuals');
    }

    private function path(int $id): string
    {
        return self::root()."/{$id}.pdf";
    }
}
