<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Record\Import;
use Illuminate\Filesystem\Filesystem;
use Throwable;

/** Files that were sent to be imported, until what was to become of them has. */
final readonly class ImportFiles
{
    /** What is left after so long belongs to nothing that still runs. */
    private const OLD_HOURS = 24;

    public function __construct(private Filesystem $files)
    {
    }

    public function keep(Import $import, string $path): void
    {
        $this->files->ensureDirectoryExists(self::root(), 0700);
        try {
            $this->files->copy($path, $this->pathOf($import));
        } catch (Throwable $noRoom) {
            $this->remove($import);

            throw $noRoom;
        }
    }

    public function pathOf(Import $import): string
    {
        return self::root()."/{$import->id}.csv";
    }

    public function remove(Import $import): void
    {
        $this->files->delete($this->pathOf($import));
    }

    public function removeOld(): void
    {
        foreach ($this->files->isDirectory(self::root()) ? $this->files->files(self::root()) : [] as $file) {
            if ($file->getMTime() < now()->subHours(self::OLD_HOURS)->getTimestamp()) {
                $this->files->delete($file->getPathname());
            }
        }
    }

    private static function root(): string
    {
        return storage_path('app/imports');
    }
}
