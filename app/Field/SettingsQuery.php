<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Setting;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingsLog;
use Ustrel\Core\Field\Settings\SettingValue;

/** Reads what is set on a planter, and what was. */
final readonly class SettingsQuery
{
    /** @return Collection<int, Setting> that hold, the newest first */
    public function held(Planter $planter): Collection
    {
        return Setting::current($planter->id)->with('user')->orderByDesc('happened_at')->orderByDesc('id')->get();
    }

    /** @param  Collection<int, Setting>  $held */
    public static function log(Collection $held): SettingsLog
    {
        return new SettingsLog(array_values($held->map(static fn (Setting $of): SettingValue => $of->made())->all()));
    }

    /**
     * What is set now, row by row in the order of the keys.
     *
     * @param  Collection<int, Setting>  $held
     * @return list<Setting>
     */
    public static function now(Collection $held): array
    {
        $byId = $held->keyBy('id')->all();
        $now = self::log($held)->now();
        $list = [];
        foreach (SettingKey::cases() as $key) {
            $rows = $now[$key->value] ?? [];
            ksort($rows);
            foreach ($rows as $made) {
                $list[] = $byId[$made->id];
            }
        }

        return $list;
    }
}
