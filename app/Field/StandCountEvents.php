<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Measure\UnitSystem;

/** Plants that were counted on marked lengths of one planter's rows. */
#[Declared(StandCount::class, item: 'stand_count.item', gone: 'stand_count.gone', when: 'dig.when')]
final readonly class StandCountEvents implements Kind
{
    use EventDefaults;

    private const MOST_PLANTS = 5_000;

    /** Of row. */
    private const FEET = [0.5, 500.0];

    private const POPULATIONS = [500, 2_000_000];

    private const LONGEST_NAME = 80;

    public function __construct(private Planter $planter)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $field = trim($fields->text('field', self::LONGEST_NAME, 'acres.field'));
        $planted = $fields->day('planted_on', 'stand_count.planted') ?? throw Refused::because('planted_on', 'stand_count.planted');
        if ($envelope->at()->day($this->planter->workshop->zone())->isBefore($planted)) {
            throw Refused::because('planted_on', 'stand_count.before');
        }
        $germination = $fields->number('germination', 'stand_count.germination');
        if ($germination !== null && ($germination < 0.01 || $germination > 1)) {
            throw Refused::because('germination', 'stand_count.germination');
        }

        return [
            'row_number' => $fields->whole('row', 1, $this->planter->row_count, 'dig.row') ?? throw Refused::because('row', 'dig.row'),
            'field' => $field === '' ? throw Refused::because('field', 'acres.field') : $field,
            'planted_on' => $planted->iso,
            'plants' => $fields->whole('plants', 0, self::MOST_PLANTS, 'stand_count.plants') ?? throw Refused::because('plants', 'stand_count.plants'),
            'length' => self::length($fields),
            'population' => $fields->whole('population', self::POPULATIONS[0], self::POPULATIONS[1], 'stand_count.population'),
            'germination' => $germination === null ? null : number_format($germination, 3, '.', ''),
        ];
    }

    /** As it was told in feet or metres; millimetres. */
    private static function length(Fields $fields): string
    {
        $system = $fields->oneOf('units', UnitSystem::class, 'refused.unknown_units') ?? UnitSystem::Inch;
        $told = $fields->number('length', 'stand_count.length') ?? throw Refused::because('length', 'stand_count.length');
        $feet = CalcUnit::Foot->read($told, $system);

        return $feet < self::FEET[0] || $feet > self::FEET[1] ? throw Refused::because('length', 'stand_count.length') : number_format(304.8 * $feet, 1, '.', '');
    }
}
