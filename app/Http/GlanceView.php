<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Spec\Station;

final readonly class GlanceView extends Schema
{
    public function __construct(
        public Station $station,
        /** @var list<int|null> For each row from the left the place that matters most, by its number in the list; null where the row has none */
        public array $places,
    ) {
    }

    /**
     * @param  array<string, list<int|null>>  $glance  by station
     * @return list<self> one a station, front to back
     */
    public static function all(array $glance): array
    {
        return array_map(static fn (string $station, array $places): self => new self(Station::from($station), $places), array_keys($glance), $glance);
    }
}
