<?php

declare(strict_types=1);

namespace App\Find;

/** Something that can be found by the words of its title and detail. */
final readonly class Findable
{
    public function __construct(
        public FindKind $kind,
        public string $title,
        /** What else to know; empty where there is nothing. */
        public string $detail = '',
        /** Whose it is; null where it is the shop's. */
        public ?int $planterId = null,
        /** Names it on its screen; see FindKind. */
        public string $key = '',
    ) {
    }
}
