<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Setting;
use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

/** What was set to what on one planter, and on what ground. */
#[Declared(Setting::class, item: 'settings.item', gone: 'settings.gone', when: 'bench.when')]
final readonly class SettingEvents implements Kind
{
    use EventDefaults;

    private const LONGEST = 60;

    private const LONGEST_NAME = 80;

    private const LONGEST_NOTE = 300;

    public function __construct(private Planter $planter)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $key = $fields->oneOf('key', SettingKey::class, 'settings.key') ?? throw Refused::because('key', 'settings.key');
        $row = $fields->whole('row', 0, $this->planter->row_count, 'settings.row') ?? 0;
        if ($row > 0 && ! $key->isOfRows()) {
            throw Refused::because('row', 'settings.not_of_rows', ['setting' => __("setting.{$key->value}")]);
        }

        return [
            'key' => $key->value,
            'row_number' => $row,
            ...$this->value($fields, $key, $row, $envelope->withdrawn),
            'field' => trim($fields->text('field', self::LONGEST_NAME, 'acres.field')),
            'crop' => trim($fields->text('crop', self::LONGEST_NAME, 'acres.crop')),
            'soil' => $fields->oneOf('soil', Soil::class, 'acres.ground')?->value,
            'residue' => $fields->oneOf('residue', Residue::class, 'acres.ground')?->value,
            'note' => trim($fields->text('note', self::LONGEST_NOTE, 'bench.note')),
        ];
    }

    /** @return array{value: string, figure: string|null, depth_scale: string|null} */
    private function value(Fields $fields, SettingKey $key, int $row, bool $isTakenBack): array
    {
        $unit = $key->unit();
        if ($unit === null) {
            $said = trim($fields->text('value', self::LONGEST, 'settings.words'));

            return $said === '' ? throw Refused::because('value', 'settings.words') : ['value' => $said, 'figure' => null, 'depth_scale' => null];
        }
        $system = $fields->oneOf('units', UnitSystem::class, 'refused.unknown_units') ?? UnitSystem::Inch;
        $figure = $fields->number('figure', 'settings.figure', ['setting' => __("setting.{$key->value}")]);
        $read = $figure === null ? null : $unit->read($figure, $system);
        [$least, $most] = $key->range();
        if ($read === null || $read < $least || $read > $most) {
            throw Refused::because('figure', 'settings.range', [
                'setting' => __("setting.{$key->value}"), 'least' => number_format($unit->show($least, $system)), 'most' => number_format($unit->show($most, $system)),
            ]);
        }

        $scale = $key === SettingKey::DepthMark && ! $isTakenBack ? $this->scale($fields, $read, $row) : null;

        return ['value' => trim($fields->text('value', self::LONGEST, 'settings.words')), 'figure' => number_format($read, 4, '.', ''), 'depth_scale' => $scale?->value];
    }

    /** In what the depth of the row is set; of another scale nothing is taken. */
    private function scale(Fields $fields, float $figure, int $row): DepthScale
    {
        $scale = $this->planter->units()->at($row)->depthScale;
        $said = $fields->oneOf('scale', DepthScale::class, 'settings.scale') ?? $scale;
        if ($said !== $scale) {
            throw Refused::because('figure', $row === 0 ? 'settings.other_scale' : 'settings.other_scale_row', ['row' => $row, 'set' => __("depth_by.{$scale->value}"), 'said' => __("depth_by.{$said->value}")]);
        }

        return $scale->takes($figure) ? $scale : throw Refused::because('figure', "settings.depth.{$scale->value}");
    }
}
