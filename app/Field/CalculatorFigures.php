<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Bench\Disc;
use App\Models\Bench\SeedLot;
use App\Models\Field\Dig;
use App\Models\Field\Setting;
use App\Models\Planter;
use App\Season\SeasonQuery;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\GroundDrive;
use Ustrel\Core\Field\Calc\InvalidFigure;
use Ustrel\Core\Field\Calc\SprocketSet;
use Ustrel\Core\Field\Settings\SettingKey;

/** What a planter's record knows of the figures that calculators ask for, so that they open filled. */
final readonly class CalculatorFigures
{
    private const INCH = 25.4;

    /** Digs, the newest first, that the line from mark to depth goes by. */
    private const MOST_DIGS = 60;

    public function __construct(
        private SettingsQuery $settings,
        private FirstPassQuery $firstPass,
    ) {
    }

    /** @return array<string, list<float>|float> by key of input, in the units of the inputs */
    public function of(Planter $planter): array
    {
        $set = [];
        foreach (SettingsQuery::now($this->settings->held($planter)) as $setting) {
            $set[$setting->key->value] ??= $setting;
        }
        $figure = static fn (SettingKey $key): ?float => isset($set[$key->value]->figure) ? (float) $set[$key->value]->figure : null;
        $plan = SeasonQuery::plan($planter);
        $field = $plan->fields[0] ?? null;
        $lot = isset($field['seed_lot_id']) ? SeedLot::query()->where('workshop_id', $planter->workshop_id)->find($field['seed_lot_id']) : null;
        $disc = isset($set['disc']) ? Disc::query()->where('workshop_id', $planter->workshop_id)->where('name', $set['disc']->value)->first() : null;
        $sprockets = self::teeth($set['sprockets'] ?? null);
        $known = [
            'width' => $planter->plantedSpacing()->toInches(),
            'rows' => (float) count($planter->runningRows()),
            'population' => $figure(SettingKey::Population) ?? (isset($field['population']) ? (float) $field['population'] : null),
            'mph' => $figure(SettingKey::Speed) ?? (float) ($plan->mph ?? SeasonQuery::MPH),
            'cells' => $disc === null ? null : (float) $disc->cells,
            'circumference' => $figure(SettingKey::Circumference),
            'slip' => $figure(SettingKey::Slip),
            'box' => self::teeth($set['sprocket_box'] ?? null),
            'now' => $sprockets,
            'stages' => $sprockets === [] ? 1.0 : count($sprockets) / 2,
            'germination' => $lot?->lot()->germination === null ? null : 100 * $lot->lot()->germination,
            'seeds_lb' => $lot?->seed()->seedsPerPound,
            'volumes' => array_map(static fn (array $tank): float => (float) $tank['holds'], $plan->tanks),
            ...$this->marks($planter),
            'rates' => array_map(static fn (array $tank): float => (float) $tank['rate'], $plan->tanks),
        ];
        $known['gearing'] = self::gearing($known);

        return array_filter($known, static fn (array|float|null $value): bool => $value !== null && $value !== []);
    }

    /**
     * What the planter's digs of this season tell of the depth scale that most rows have: at which mark each row stood, and how deep it planted.
     *
     * @param  Planter  $planter  with its spec sheet and workshop
     * @return array{marks: list<float>, depths: list<float>, aim: float|null}
     */
    private function marks(Planter $planter): array
    {
        $digs = $this->firstPass->digs($planter)[$planter->season()] ?? new Collection;
        $turns = PassTurns::of($planter, $digs, []);
        $marks = $depths = [];
        foreach ($digs->unique(static fn (Dig $of): string => "{$of->pass} {$of->row_number}")->take(self::MOST_DIGS) as $dig) {
            [$stands, $depth] = [$turns->standsAt($dig), $dig->dug()->depth()];
            if ($turns->scaleOf($dig->row_number) === $turns->scaleOf(0) && $stands !== null && $depth !== null) {
                [$marks[], $depths[]] = [$stands, round($depth / self::INCH, 2)];
            }
        }
        $aim = FoundRates::aims($planter, $digs->first()->field ?? '')->depth;

        return ['marks' => $marks, 'depths' => $depths, 'aim' => $aim === null ? null : round($aim / self::INCH, 2)];
    }

    /** @return list<float> as `25/17, 20/15` or `17, 19, 21` is said */
    private static function teeth(?Setting $of): array
    {
        preg_match_all('/\d{1,3}/', $of->value ?? '', $found);

        return array_map(floatval(...), $found[0]);
    }

    /**
     * The population that the planter's sprockets give; null where something of it is not known.
     *
     * @param  array{width: float, cells: float|null, circumference: float|null, slip: float|null, now: list<float>}  $known
     */
    private static function gearing(array $known): ?float
    {
        if ($known['cells'] === null || $known['circumference'] === null || $known['now'] === [] || count($known['now']) % 2 !== 0 || min($known['now']) < 1) {
            return null;
        }
        /** @var non-empty-list<array{int, int}> $pairs */
        $pairs = array_chunk(array_map(intval(...), $known['now']), 2);
        try {
            return (new GroundDrive((int) $known['cells'], $known['circumference'], ($known['slip'] ?? 0.0) / 100))->population((new SprocketSet($pairs))->ratio(), $known['width']);
        } catch (InvalidFigure) {
            return null;
        }
    }
}
