<?php

declare(strict_types=1);

namespace App\Bench\Stand;

/** What was taken of what a stand told. */
final readonly class Ingested
{
    /**
     * @param  int  $last  number of the last seed that is known: a stand that was cut off goes on behind it
     * @param  int  $new  seeds that were not known
     * @param  list<string>  $refused  why lines could not be read, the first twenty
     */
    public function __construct(
        public int $last,
        public int $new,
        public array $refused,
        public int $refusedLines,
        public bool $hasEnded,
    ) {
    }
}
