<?php

declare(strict_types=1);

namespace App\Field\Watch;

/** What was taken of what a monitor told. */
final readonly class Heard
{
    /**
     * @param  int|null  $last  ms of the last moment that is known: a monitor that was cut off goes on behind it
     * @param  int  $new  moments that were not known
     * @param  list<string>  $refused  why lines could not be read, the first twenty
     */
    public function __construct(
        public ?int $last,
        public int $new,
        public array $refused,
        public int $refusedLines,
    ) {
    }
}
