<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use Illuminate\Filesystem\Filesystem;

/** A picture and its thumbnail, ready to be kept; what is not kept goes with this. */
final readonly class MadePicture
{
    /** @param  string  $folder  of its own, with picture.jpg and thumbnail.jpg in it */
    public function __construct(
        private string $folder,
        public int $width,
        public int $height,
        private Filesystem $files,
    ) {
    }

    public function __destruct()
    {
        $this->files->deleteDirectory($this->folder);
    }

    public function picture(): string
    {
        return $this->files->get("{$this->folder}/picture.jpg");
    }

    public function thumbnail(): string
    {
        return $this->files->get("{$this->folder}/thumbnail.jpg");
    }
}
