<?php

declare(strict_types=1);

namespace App\Walk\Photos;

use GdImage;

/** A picture in memory, freed of everything that the camera wrote into its file besides the pixels. */
final readonly class Picture
{
    /** More pixels than any phone takes; unpacking them would take the memory of the server. */
    private const MOST_PIXELS = 40_000_000;

    /** Longer than this for its width is no photo; scaled down it would be nothing but a line. */
    private const LONGEST_FOR_WIDTH = 20;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    private const JPEG_QUALITY = 82;

    private function __construct(private GdImage $image)
    {
    }

    /**
     * By its head alone, before anything is unpacked.
     *
     * @return int its type, of IMAGETYPE_
     *
     * @throws NotAPicture whatever the file is called, where its content is not a picture that is taken
     */
    public static function mustBeTaken(string $path): int
    {
        $size = @getimagesize($path);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw NotAPicture::because('not_a_picture');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw NotAPicture::because('too_many_pixels');
        }
        if (max($size[0], $size[1]) > self::LONGEST_FOR_WIDTH * min($size[0], $size[1])) {
            throw NotAPicture::because('too_long');
        }

        return $size[2];
    }

    /** @throws NotAPicture */
    public static function read(string $path): self
    {
        $type = self::mustBeTaken($path);
        $image = self::whole($path, $type);
        if ($image === false) {
            throw NotAPicture::because('broken_picture');
        }

        return new self(self::upright($image, $path, $type));
    }

    /** False also for a picture that breaks off: it would be kept with its rest in gray. */
    private static function whole(string $path, int $type): GdImage|false
    {
        $breaksOff = false;
        $lenient = (string) ini_set('gd.jpeg_ignore_warning', '0');
        set_error_handler(static function (int $level, string $message) use (&$breaksOff): true {
            $breaksOff = $breaksOff || str_contains($message, 'Premature end');

            return true;
        });
        try {
            $image = $type === IMAGETYPE_JPEG ? imagecreatefromjpeg($path) : imagecreatefromstring((string) file_get_contents($path));
        } finally {
            restore_error_handler();
            ini_set('gd.jpeg_ignore_warning', $lenient);
        }

        return $breaksOff ? false : $image;
    }

    /** The same, no longer than so many pixels on its longer side. */
    public function within(int $pixels): self
    {
        $longer = max($this->width(), $this->height());
        if ($longer <= $pixels) {
            return $this;
        }
        $scaled = imagescale($this->image, max(1, (int) round($this->width() * $pixels / $longer)), max(1, (int) round($this->height() * $pixels / $longer)), IMG_BICUBIC);

        return $scaled === false ? throw NotAPicture::because('broken_picture') : new self($scaled);
    }

    private function width(): int
    {
        return imagesx($this->image);
    }

    private function height(): int
    {
        return imagesy($this->image);
    }

    public function jpeg(): string
    {
        // A transparent ground would come out black.
        $flat = imagecreatetruecolor(max(1, $this->width()), max(1, $this->height()));
        imagefill($flat, 0, 0, (int) imagecolorallocate($flat, 255, 255, 255));
        imagecopy($flat, $this->image, 0, 0, 0, 0, $this->width(), $this->height());
        ob_start();
        imagejpeg($flat, null, self::JPEG_QUALITY);

        return (string) ob_get_clean();
    }

    /** Turned as the camera was held. */
    private static function upright(GdImage $image, string $path, int $type): GdImage
    {
        $exif = $type === IMAGETYPE_JPEG ? @exif_read_data($path) : false;
        $orientation = $exif === false ? 1 : ($exif['Orientation'] ?? 1);
        $degrees = match ($orientation) {
            3, 4 => 180,
            5, 6 => 270,
            7, 8 => 90,
            default => 0,
        };
        $turned = $degrees === 0 ? $image : imagerotate($image, $degrees, 0);
        if ($turned === false) {
            throw NotAPicture::because('broken_picture');
        }
        if (in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($turned, IMG_FLIP_HORIZONTAL);
        }

        return $turned;
    }
}
