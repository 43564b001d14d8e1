<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Setting;
use App\Models\Planter;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingsLog;
use Ustrel\Core\Field\Settings\SettingValue;
use Ustrel\Core\Measure\Day;

/** What a planter was set to at the end of a day on which it planted, as far as it was set in that season. */
final class SettingsOfDay
{
    /** Said elsewhere of a field that was planted, or the same in every field. */
    private const NOT_OF_DAY = [SettingKey::Population, SettingKey::Speed];

    /** @var array<string, string> by day */
    private array $said = [];

    /** @param  list<array{Setting, SettingValue, Day}>  $made  with its day */
    private function __construct(
        private readonly Planter $planter,
        private readonly array $made,
        private readonly FigureWords $words,
    ) {
    }

    public static function of(Planter $planter, FigureWords $words): self
    {
        $zone = $planter->workshop->zone();
        $made = [];
        foreach (Setting::current($planter->id)->get() as $setting) {
            if ($setting->key->isOfGround() && ! in_array($setting->key, self::NOT_OF_DAY, true)) {
                $made[] = [$setting, $setting->made(), $setting->made()->at->day($zone)];
            }
        }

        return new self($planter, $made, $words);
    }

    /** `downforce 180 lb, closing 2; rows set apart: depth mark 3, 4`; empty where nothing is on record of it. */
    public function on(Day $day): string
    {
        return $this->said[$day->iso] ??= $this->sayOn($day);
    }

    private function sayOn(Day $day): string
    {
        [$seasons, $season] = [$this->planter->seasons(), $this->planter->seasons()->of($day)];
        $until = array_filter($this->made, static fn (array $of): bool => ! $day->isBefore($of[2]) && $seasons->of($of[2]) === $season);
        $byId = array_column(array_map(static fn (array $of): array => [$of[0]->id, $of[0]], $until), 1, 0);
        $now = (new SettingsLog(array_column($until, 1)))->now();
        $whole = $apart = [];
        foreach (SettingKey::cases() as $key) {
            $name = __("setting.{$key->value}");
            foreach ($now[$key->value] ?? [] as $row => $set) {
                if ($row === 0) {
                    $whole[] = "{$name} {$this->words->setting($byId[$set->id])}";
                } else {
                    $apart[$name][] = $row;
                }
            }
        }
        ksort($apart);
        $rows = array_map(static function (string $name, array $of): string {
            sort($of);

            return "{$name} ".implode(', ', $of);
        }, array_keys($apart), $apart);

        return implode('; ', array_filter([implode(', ', $whole), $rows === [] ? '' : __('settings.apart', ['rows' => implode('; ', $rows)])]));
    }
}
