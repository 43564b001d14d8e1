<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

use Ustrel\Core\Spec\CheckKey;

/** A set of checks that every shop finds ready; its name is worded under `pack.<key>`. */
final readonly class ShippedPack
{
    private const FILE = __DIR__.'/../../packs/packs.json';

    /** @param  list<CheckKey>|null  $checks  null for all that a planter has */
    private function __construct(
        public string $key,
        public WalkKind $kind,
        public ?array $checks,
        /** @var list<CheckKey> that a planter has to have, or the pack is not for it */
        public array $needs,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /** @var list<array{key: string, kind: string, checks: list<string>|null, needs?: list<string>}> $packs */
        $packs = json_decode((string) file_get_contents(self::FILE), true, 8, JSON_THROW_ON_ERROR);

        return array_map(static fn (array $pack): self => new self(
            $pack['key'],
            WalkKind::from($pack['kind']),
            $pack['checks'] === null ? null : array_map(CheckKey::from(...), $pack['checks']),
            array_map(CheckKey::from(...), $pack['needs'] ?? []),
        ), $packs);
    }
}
