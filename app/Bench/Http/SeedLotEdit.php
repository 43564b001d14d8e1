<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Meter\TagSeed;

/** A lot of seed, as the shop has it in its list. */
final readonly class SeedLotEdit extends Input
{
    public function __construct(
        /** As it stands on the tag, and in the fields of a season */
        #[Field('seed.name', 'max:80')] public string $name,
        /** Left out where a unit is told by its weight: unit_weight times the seeds per pound */
        #[Field('seed.seeds_per_unit', 'between:100,10000000')] public ?int $seeds_per_unit = null,
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
        /** On the tag; those of an ounce times 16; of a mixture by its kinds */
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
        /** Pounds a bushel, on the tag */
        #[Field('seed.test_weight', 'between:10,80', 'decimal:0,2')] public ?float $test_weight = null,
        /** Pounds */
        #[Field('seed.unit_weight', 'between:0.01,10000', 'decimal:0,2')] public ?float $unit_weight = null,
        /** Null where it comes in bags */
        #[Field('seed.units_per_box', 'between:1,1000', 'decimal:0,1')] public ?float $units_per_box = null,
        /** @var list<SeedKindEdit> Kinds of seed in one bag; empty where it is one kind */
        #[Field('seed.mixture', 'max:12')] public array $mixture = [],
        /** That was changed; 0 of a new one */
        public int $revision = 0,
    ) {
    }

    public function columns(): array
    {
        return ['seeds_per_unit' => $this->seedsPerUnit($this->seed()), 'mixture' => $this->kinds()] + parent::columns();
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        try {
            $seed = $input->seed();
        } catch (InvalidRun) {
            $checked->errors()->add('mixture', __('seed.mixture'));

            return;
        }
        $wrong = $seed->cannotBe();
        if ($wrong !== null) {
            $checked->errors()->add($input->mixture === [] ? 'seeds_per_pound' : 'mixture', __('seed.cannot_be', ['crop' => $wrong['crop'], 'least' => number_format($wrong['least']), 'most' => number_format($wrong['most']), 'count' => number_format($wrong['count'])]));
        }
        $units = $input->seedsPerUnit($seed);
        if ($units === null || $units < 100 || $units > 10_000_000) {
            $checked->errors()->add('seeds_per_unit', __('seed.no_unit'));
        }
    }

    private function seed(): TagSeed
    {
        return new TagSeed($this->size, $this->crop, $this->size_class, $this->seeds_per_pound, $this->kinds());
    }

    /** @return list<array{crop: string, share: float, seeds_per_pound: float}> */
    private function kinds(): array
    {
        return array_map(static fn (SeedKindEdit $kind): array => ['crop' => $kind->crop, 'share' => $kind->share, 'seeds_per_pound' => $kind->seeds_per_pound], $this->mixture);
    }

    private function seedsPerUnit(TagSeed $seed): ?int
    {
        return $this->seeds_per_unit ?? ($this->unit_weight === null ? null : $seed->seedsIn($this->unit_weight));
    }
}
