<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Walk\Photos\NotAPicture;
use App\Walk\Photos\PhotoFiles;
use App\Walk\Photos\Picture;
use App\Walk\Photos\PictureMaker;
use ErrorException;
use Illuminate\Console\Command;
use Illuminate\Filesystem\Filesystem;

/** What App\Walk\Photos\PictureMaker runs in a process of its own. */
final class MakePicture extends Command
{
    protected $signature = 'ustrel:make-picture {from} {into : a folder}';

    protected $description = 'Make the picture and the thumbnail of a photo';

    protected $hidden = true;

    public function handle(Filesystem $files): int
    {
        try {
            $picture = Picture::read($this->argument('from'))->within(PhotoFiles::LONGEST);
        } catch (NotAPicture) {
            return self::FAILURE;
        }
        try {
            $files->put("{$this->argument('into')}/thumbnail.jpg", $picture->within(PhotoFiles::LONGEST_THUMBNAIL)->jpeg());
            $files->put("{$this->argument('into')}/picture.jpg", $picture->jpeg());
        } catch (ErrorException) {
            return PictureMaker::NO_ROOM;
        }

        return self::SUCCESS;
    }
}
