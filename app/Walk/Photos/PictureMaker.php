<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use Illuminate\Contracts\Process\ProcessResult;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Process\Exceptions\ProcessTimedOutException;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;
use Symfony\Component\Process\PhpExecutableFinder;

/**
 * Makes the pictures of photos, one at a time, each in a process of its own: what a picture does to it, it does to nothing
 * else, and who sent it is told at once.
 */
final readonly class PictureMaker
{
    private const MEMORY = '448M';

    private const LONGEST_SECONDS = 20;

    /** What the process ends with where the disk is full. */
    public const NO_ROOM = 28;

    /** For one's turn; later it is to be sent again. */
    private const LONGEST_WAIT_SECONDS = 30;

    public function __construct(private Filesystem $files)
    {
    }

    /** @throws NotAPicture whatever the file is called, where its content is not a picture that is taken */
    public function make(string $path): MadePicture
    {
        Picture::mustBeTaken($path);
        $folder = self::root().'/'.Str::uuid7();
        $this->files->ensureDirectoryExists($folder, 0700);
        $turn = $this->turn();
        try {
            $made = $this->inItsOwnProcess($path, $folder);
        } catch (ProcessTimedOutException) {
            $made = null;
        } finally {
            fclose($turn);
        }
        if ($made !== null && $made->exitCode() === self::NO_ROOM) {
            $this->files->deleteDirectory($folder);

            throw new RuntimeException('No space left on device');
        }
        $size = $made?->successful() ? @getimagesize("{$folder}/picture.jpg") : false;
        if ($size === false) {
            $this->files->deleteDirectory($folder);

            throw NotAPicture::because('broken_picture');
        }

        return new MadePicture($folder, $size[0], $size[1], $this->files);
    }

    /** Where they are until they are kept. */
    public static function root(): string
    {
        return storage_path('app/made');
    }

    private function inItsOwnProcess(string $path, string $folder): ProcessResult
    {
        $php = (new PhpExecutableFinder)->find(false) ?: throw new RuntimeException('There is no PHP to make a picture with');

        return Process::timeout(self::LONGEST_SECONDS)->run([$php, '-d', 'memory_limit='.self::MEMORY, base_path('artisan'), 'ustrel:make-picture', $path, $folder]);
    }

    /** @return resource held until it is closed, also by the end of this process */
    private function turn()
    {
        $turn = fopen(self::root().'/turn', 'c') ?: throw new RuntimeException('No file to take turns by');
        for ($began = now()->getTimestamp(); ! flock($turn, LOCK_EX | LOCK_NB); usleep(50_000)) {
            if (now()->getTimestamp() - $began > self::LONGEST_WAIT_SECONDS) {
                throw new ServiceUnavailableHttpException(self::LONGEST_WAIT_SECONDS);
            }
        }

        return $turn;
    }
}
