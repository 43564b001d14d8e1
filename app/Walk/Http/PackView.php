<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Models\Walk\Pack;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\ShippedPack;
use Ustrel\Core\Walk\WalkKind;

final readonly class PackView extends Schema
{
    public function __construct(
        /** Null for those that are shipped, which cannot be changed */
        public ?int $id,
        public string $name,
        /** Of what its form changes; null for those that are shipped */
        public ?string $version,
        /** Of the walk that it proposes */
        public WalkKind $kind,
        /** @var list<CheckKey>|null Null for all that a planter has */
        public ?array $checks,
        /** @var list<CheckKey> That a planter has to have, or the pack is not for it */
        public array $needs,
    ) {
    }

    public static function of(Pack $pack): self
    {
        return new self($pack->id, $pack->name, $pack->version(), $pack->kind, array_map(CheckKey::from(...), $pack->checks), []);
    }

    public static function shipped(ShippedPack $pack): self
    {
        return new self(null, (string) __("pack.{$pack->key}"), null, $pack->kind, $pack->checks, $pack->needs);
    }
}
