<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\SettingsQuery;
use App\Http\Api\Schema;
use App\Models\Field\Setting;
use App\Models\Plan\SeasonPlan;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Settings\SettingFit;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingValue;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

final readonly class SettingsView extends Schema
{
    private const LOGGED = 100;

    public function __construct(
        /** @var list<SettingMadeView> */
        public array $now,
        /** @var list<SettingMadeView> The newest first, up to 100 */
        public array $log,
        /** @var list<SettingMadeView>|null What comes back with the ground asked for, each from the nearest where it was set */
        public ?array $recalled,
        /** @var list<string> What was planted, dug and counted there in that season, in words */
        public array $went,
        /**
         * @var list<array{
         *     key: SettingKey,
         *     unit: string|null, // In words; empty of a plain figure, null where it is said in words
         *     of_rows: bool, // Rows may be set each by itself
         * }>
         */
        public array $keys,
        /** @var list<array{field: string, crop: string, soil: Soil|null, residue: Residue|null}> Fields of the season */
        public array $grounds,
    ) {
    }

    /**
     * @param  Collection<int, Setting>  $held  the newest first
     * @param  Closure(Setting): list<string>  $went  what came of the settings of which this is the last
     */
    public static function of(Collection $held, SeasonPlan $plan, RowUnits $on, SettingGround $ground, FigureWords $words, Closure $went): self
    {
        $made = static fn (Setting $setting): SettingMadeView => SettingMadeView::of($setting, $words);
        $byId = $held->keyBy('id')->all();
        $recalled = $ground->isUnsaid() ? [] : SettingsQuery::log($held)->recalled($ground);
        // What was set in notches does not come back as turns.
        $recalled = array_values(array_filter($recalled, static fn (SettingValue $of): bool => in_array($byId[$of->id]->depth_scale, [null, $on->at($of->row)->depthScale], true)));
        $last = collect($recalled)->map(static fn (SettingValue $of): Setting => $byId[$of->id])->sortBy('happened_at')->last();

        return new self(
            now: array_map($made, SettingsQuery::now($held)),
            log: array_values($held->take(self::LOGGED)->map($made)->all()),
            recalled: $recalled === [] ? null : array_map(static fn (SettingValue $of): SettingMadeView => SettingMadeView::of($byId[$of->id], $words), $recalled),
            went: $last === null ? [] : $went($last),
            keys: array_map(static fn (SettingKey $key): array => ['key' => $key, 'unit' => self::unit($key, $on, $words), 'of_rows' => $key->isOfRows()], array_values(array_filter(SettingKey::cases(), static fn (SettingKey $key): bool => SettingFit::isFitted($key, $on)))),
            grounds: array_map(static fn (array $field): array => ['field' => $field['name'], 'crop' => (string) $field['crop'], 'soil' => Soil::tryFrom((string) $field['soil']), 'residue' => Residue::tryFrom((string) $field['residue'])], $plan->fields),
        );
    }

    private static function unit(SettingKey $key, RowUnits $on, FigureWords $words): ?string
    {
        $scales = array_unique(array_map(static fn (array $kind): string => $kind[0]->depthScale->value, $on->kinds()));

        return match (true) {
            $key->unit() === null => null,
            $key === SettingKey::DepthMark => count($scales) === 1 ? (string) __("depth_by.{$scales[0]}") : '',
            default => $words->unit($key->unit()),
        };
    }
}
