<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

final readonly class SeasonFieldEdit extends Input
{
    public function __construct(
        #[Field('season.field_name', 'max:80')] public string $name,
        #[Field('season.field_acres', 'between:0.01,10000', 'decimal:0,2')] public float $acres,
        #[Field('season.field_crop', 'max:80')] public ?string $crop = null,
        #[Field('season.field_soil')] public ?Soil $soil = null,
        #[Field('season.field_residue')] public ?Residue $residue = null,
        #[Field('season.field_tillage')] public ?Tillage $tillage = null,
        /** Lot, or what is planted there otherwise */
        #[Field('season.field_seed', 'max:80')] public ?string $seed = null,
        /** Seeds an acre */
        #[Field('season.field_population', 'between:100,5000000')] public ?int $population = null,
    ) {
    }
}
