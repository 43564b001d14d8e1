<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Field\SettingsOfDay;
use App\Http\Api\Schema;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use Ustrel\Core\Field\Log\AgainstMap;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\PassKind;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

final readonly class AcresLineView extends Schema
{
    public function __construct(
        public string $id,
        public Day $day,
        public string $field,
        public ?string $crop,
        public float $acres,
        public ?float $mph,
        public ?Soil $soil,
        public ?Residue $residue,
        public ?Tillage $tillage,
        public ?DownforceLevel $downforce,
        public float $severity,
        public bool $own_severity,
        /** @var list<ShutOffView> */
        public array $shut_off,
        /** Only planting wears row units and counts as planted */
        public PassKind $pass,
        /** As it is called now */
        public ?string $lot,
        public ?int $seed_lot_id,
        /** Of the lot, by what a unit held when the line was logged */
        public ?float $units_drawn,
        /** @var list<string> Products that were to go on and did not */
        public array $left_out,
        /** As it is typed */
        public ?string $population,
        /** @var list<string> As they are typed */
        public array $products,
        public ?float $map_acres,
        /** Share that the counter says more than the map, where that is more than overlap makes */
        public ?float $off_map,
        public ?string $around,
        public ?string $until,
        public bool $around_over,
        public string $note,
        /** What the planter was set to that day, in words; empty where nothing is on record */
        public string $set,
        public string $logged_by,
    ) {
    }

    public static function of(AcresEntry $line, SettingsOfDay $settings, NumberStyle $style): self
    {
        $rows = [];
        foreach ($line->shares as $row => $share) {
            $rows[(string) $share][] = $row;
        }

        return new self(
            id: $line->id,
            day: $line->day,
            field: $line->field,
            crop: $line->crop,
            acres: (float) $line->acres,
            mph: $line->mph === null ? null : (float) $line->mph,
            soil: $line->soil,
            residue: $line->residue,
            tillage: $line->tillage,
            downforce: $line->downforce,
            severity: (float) $line->severity,
            own_severity: $line->own_severity,
            shut_off: array_map(static fn (string|int $share, array $of): ShutOffView => new ShutOffView(rows: $of, share: (float) $share), array_keys($rows), $rows),
            pass: $line->pass,
            lot: $line->lotName(),
            seed_lot_id: $line->seed_lot_id,
            units_drawn: $line->units_drawn === null ? null : (float) $line->units_drawn,
            left_out: $line->left_out,
            population: $line->population()?->said($style),
            products: array_map(static fn (Product $of): string => $of->said($style), $line->goesOn()),
            map_acres: $line->map_acres === null ? null : (float) $line->map_acres,
            off_map: $line->map_acres !== null && AgainstMap::isOff((float) $line->acres, (float) $line->map_acres) ? round(AgainstMap::more((float) $line->acres, (float) $line->map_acres), 4) : null,
            around: $line->around,
            until: $line->until,
            around_over: $line->around_over,
            note: $line->note,
            set: $settings->on($line->day),
            logged_by: $line->user->name,
        );
    }
}
