<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Dig;
use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\InvalidDig;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\Unreadable;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Wear\Acres\Residue;

/** Rows of one planter that were dug after a pass over the field. */
#[Declared(Dig::class, item: 'dig.item', gone: 'dig.gone', when: 'dig.when')]
final readonly class DigEvents implements Kind
{
    use EventDefaults;

    /** Depths of seed, millimetres. */
    private const DEPTHS = [3.0, 160.0];

    private const SPACINGS = [3.0, 6000.0];

    private const MOST_PASSES = 20;

    private const MOST_SEEDS = 100;

    private const LONGEST = 300;

    private const LONGEST_NAME = 80;

    private Sheet $sheet;

    public function __construct(private Planter $planter)
    {
        $this->sheet = $planter->readSheet();
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $system = $fields->oneOf('units', UnitSystem::class, 'refused.unknown_units') ?? UnitSystem::Inch;
        $row = $fields->whole('row', 1, $this->planter->row_count, 'dig.row') ?? throw Refused::because('row', 'dig.row');
        if (in_array($row, $this->planter->parked()->at($envelope->at()), true)) {
            throw Refused::because('row', 'dig.parked', ['row' => $row]);
        }
        $depths = self::lengths($fields, 'depths', $system, self::DEPTHS);
        $spacings = self::lengths($fields, 'spacings', $system, self::SPACINGS);
        $this->believe($fields, $depths, $spacings, $system);

        return [
            'pass' => $fields->whole('pass', 1, self::MOST_PASSES, 'dig.pass') ?? throw Refused::because('pass', 'dig.pass'),
            'row_number' => $row,
            'field' => trim($fields->text('field', self::LONGEST_NAME, 'acres.field')),
            'target' => self::length($fields->text('target', 20, 'dig.target'), 'target', $system, self::DEPTHS, 'dig.target'),
            'spacing' => $fields->has('spacing') ? self::length($fields->text('spacing', 20, 'dig.spacing'), 'spacing', $system, self::SPACINGS, 'dig.spacing') : null,
            'notch' => number_format(($notch = $this->sheet->at($row)->notch->quantity) instanceof Length ? $notch->toMillimetres() : 6.35, 2, '.', ''),
            'mark' => $this->mark($fields, $row),
            'depths' => json_encode($depths, JSON_THROW_ON_ERROR),
            'spacings' => json_encode($spacings, JSON_THROW_ON_ERROR),
            'seen' => json_encode(self::seen($fields), JSON_THROW_ON_ERROR),
            'spot' => trim($fields->text('spot', self::LONGEST_NAME, 'dig.spot')),
            'residue' => $fields->oneOf('residue', Residue::class, 'dig.residue')?->value,
            'note' => trim($fields->text('note', self::LONGEST, 'bench.note')),
        ];
    }

    /** @throws Refused */
    private function mark(Fields $fields, int $row): ?float
    {
        $scale = $this->planter->units()->at($row)->depthScale;
        $mark = $fields->number('mark', "settings.depth.{$scale->value}");

        return $mark === null || (SettingKey::DepthMark->holds($mark) && $scale->takes($mark)) ? $mark : throw Refused::because('mark', "settings.depth.{$scale->value}");
    }

    /**
     * @param  list<float>  $depths
     * @param  list<float>  $spacings
     */
    private function believe(Fields $fields, array $depths, array $spacings, UnitSystem $system): void
    {
        try {
            $doubts = (new DugRow($depths, $spacings))->doubts();
        } catch (InvalidDig) {
            throw Refused::because('depths', 'dig.empty');
        }
        $isConfirmed = $fields->flag('confirmed', 'refused.unknown_flag');
        if ($doubts !== [] && ! $isConfirmed) {
            [$list, $at] = $doubts[0];
            throw Refused::because($list, "dig.doubt_{$list}", ['number' => $at + 1, 'typed' => (string) $fields->list($list, 'dig.list')[$at]]);
        }
    }

    /**
     * @param  array{float, float}  $range
     * @return list<float> millimetres
     */
    private static function lengths(Fields $fields, string $list, UnitSystem $system, array $range): array
    {
        $typed = $fields->list($list, 'dig.list');
        if (count($typed) > self::MOST_SEEDS) {
            throw Refused::because($list, 'dig.list');
        }
        $lengths = [];
        foreach ($typed as $at => $one) {
            $lengths[] = (float) self::length(is_string($one) && mb_strlen($one) <= 20 ? $one : throw Refused::because($list, 'dig.list'), $list, $system, $range, "dig.{$list}", ['number' => $at + 1, 'typed' => $one]);
        }

        return $lengths;
    }

    /**
     * @param  array{float, float}  $range
     * @param  array<string, string|int>  $with
     */
    private static function length(string $typed, string $field, UnitSystem $system, array $range, string $otherwise, array $with = []): string
    {
        try {
            $length = Length::read($typed, $system)->toMillimetres();
        } catch (Unreadable) {
            throw Refused::because($field, $otherwise, $with);
        }

        return $length < $range[0] || $length > $range[1] ? throw Refused::because($field, $otherwise, $with) : number_format($length, 2, '.', '');
    }

    /** @return list<string> */
    private static function seen(Fields $fields): array
    {
        $seen = [];
        foreach ($fields->list('seen', 'dig.seen') as $one) {
            $seen[] = ((is_string($one) ? DigSign::tryFrom($one) : null) ?? throw Refused::because('seen', 'dig.seen'))->value;
        }

        return array_values(array_unique($seen));
    }
}
