<?php

declare(strict_types=1);

namespace App\Find\Http;

use App\Find\Findable;
use App\Find\FindKind;
use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;

final readonly class FindableView extends Schema
{
    public function __construct(
        public FindKind $kind,
        public string $title,
        /** What else to know; empty where there is nothing */
        public string $detail,
        /** Whose it is; left out where it is the shop's */
        #[OmittedWhenNull]
        public ?int $planter_id,
        /** Names it on its screen: an id, the row of a note, the key of a card */
        public string $key,
    ) {
    }

    public static function of(Findable $of): self
    {
        return new self($of->kind, $of->title, $of->detail, $of->planterId, $of->key);
    }
}
