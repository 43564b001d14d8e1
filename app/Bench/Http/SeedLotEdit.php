<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Ustrel\Core\Measure\Day;

/** A lot of seed, as the shop has it in its list. */
final readonly class SeedLotEdit extends Input
{
    public function __construct(
        /** As it stands on the tag, and in the fields of a season */
        #[Field('seed.name', 'max:80')] public string $name,
        #[Field('seed.seeds_per_unit', 'between:100,10000000')] public int $seeds_per_unit,
        #[Field('seed.text', 'max:80')] public string $crop = '',
        /** Millimeters, on average */
        #[Field('seed.size', 'between:0.5,40', 'decimal:0,2')] public ?float $size = null,
        #[Field('seed.text', 'max:40')] public string $shape = '',
        /** Share, on the tag */
        #[Field('seed.germination', 'between:0.01,1', 'decimal:0,3')] public ?float $germination = null,
        #[Field('seed.text', 'max:120')] public string $treatment = '',
        /** Mix and dose */
        #[Field('seed.text', 'max:120')] public string $lubricant = '',
        /** Of a unit */
        #[Field('error.money', 'between:0,100000', 'decimal:0,2')] public ?float $price = null,
        /** Share more than the fields take */
        #[Field('seed.spare', 'between:0,1', 'decimal:0,3')] public float $spare = 0.05,
        /** Size on the tag, such as medium flat or F14 */
        #[Field('seed.size_class', 'max:40')] public string $size_class = '',
        /** On the tag; those of an ounce times 16 */
        #[Field('seed.seeds_per_pound', 'between:10,500000', 'decimal:0,1')] public ?float $seeds_per_pound = null,
        /** Share, by the newest test: of a laboratory, or of the shop between wet towels; counts instead of the tag's */
        #[Field('seed.germination', 'between:0.01,1', 'decimal:0,3')] public ?float $germination_tested = null,
        #[Field('seed.tested_on', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31')] public ?Day $tested_on = null,
        /** Who it is ordered from */
        #[Field('seed.text', 'max:80')] public string $ordered_from = '',
        /** Null where none is ordered */
        #[Field('seed.ordered_units', 'between:0.1,100000', 'decimal:0,1')] public ?float $ordered_units = null,
        /** What is received from this day on comes of the order */
        #[Field('seed.ordered_on', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31')] public ?Day $ordered_on = null,
        #[Field('seed.due_on', 'after_or_equal:2000-01-01', 'before_or_equal:2100-12-31')] public ?Day $due_on = null,
        /** That was changed; 0 of a new one */
        public int $revision = 0,
    ) {
    }
}
