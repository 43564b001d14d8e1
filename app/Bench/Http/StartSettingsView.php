<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Meter\StartSettings;

final readonly class StartSettingsView extends Schema
{
    public function __construct(
        /**
         * Null where the shop has run no seed of that size on that disc
         *
         * @var array{
         *     singulator: string, // Step, in own words; empty where the runs do not say
         *     air: float|null, // Inches of water; null where the runs do not say
         *     way: 'more'|'less'|null, // Where the best air lies, if beyond what was tried
         *     by: 'same'|'measured'|'meant'|'estimated', // How the seed of these runs is known to be of that size: the same lot, by caliper, by the class on the tag, by seeds per pound
         *     skips: float, // Share of places, to be expected
         *     doubles: float,
         *     runs: int, // That it goes by
         *     seeds: list<string>, // Lots that they ran with
         * }|null
         */
        public ?array $start,
    ) {
    }

    /** @param  array<int, string>  $names  of lots, by id */
    public static function of(?StartSettings $start, array $names): self
    {
        return new self($start === null ? null : [
            'singulator' => $start->singulator, 'air' => $start->air, 'way' => $start->way, 'by' => $start->by,
            'skips' => round($start->skips, 4), 'doubles' => round($start->doubles, 4), 'runs' => $start->runs,
            'seeds' => array_map(static fn (string $key): string => $names[(int) substr($key, 1)] ?? '', $start->lots),
        ]);
    }
}
