<?php

declare(strict_types=1);

namespace App\Field;

use App\Record\Refused;
use Illuminate\Validation\ValidationException;
use Ramsey\Uuid\Uuid;
use Ustrel\Core\Field\Settings\SaidSetting;
use Ustrel\Core\Field\Settings\SettingsLine;
use Ustrel\Core\Field\Settings\UnreadableSettings;
use Ustrel\Core\Measure\NumberStyle;

/** Settings that were told as one line become an entry for each thing and row; their ids follow from the id of the line, so that sending it again is harmless. */
final class SettingLines
{
    private const LONGEST = 500;

    /** Entries that lines become. */
    private const MOST = 1000;

    /** What a line says itself. */
    private const SAID = ['key' => 1, 'value' => 1, 'figure' => 1, 'scale' => 1, 'supersedes' => 1, 'withdrawn' => 1];

    /**
     * @param  list<mixed>  $settings  as they were sent
     * @param  int  $rowCount  of the planter
     * @param  NumberStyle|null  $style  of the workshop
     * @return list<mixed>
     *
     * @throws ValidationException
     */
    public static function spread(array $settings, int $rowCount, ?NumberStyle $style): array
    {
        $spread = [];
        foreach ($settings as $at => $setting) {
            $entries = is_array($setting) && ($setting['line'] ?? null) !== null ? self::entries($setting, $at, $rowCount, $style) : [$setting];
            array_push($spread, ...$entries);
            if (count($spread) > self::MOST) {
                throw ValidationException::withMessages(['settings' => __('settings.many', ['most' => number_format(self::MOST)])]);
            }
        }

        return $spread;
    }

    /**
     * @param  array<mixed>  $told
     * @return list<array<mixed>>
     */
    private static function entries(array $told, int $at, int $rowCount, ?NumberStyle $style): array
    {
        $line = $told['line'];
        if (! is_string($line) || ! mb_check_encoding($line, 'UTF-8') || mb_strlen($line) > self::LONGEST || array_intersect_key($told, self::SAID) !== []) {
            throw ValidationException::withMessages(["settings.{$at}.line" => __('settings.line')]);
        }
        try {
            $said = SettingsLine::read($line, $rowCount, $style);
        } catch (UnreadableSettings $unreadable) {
            throw ValidationException::withMessages(["settings.{$at}.line" => Refused::line('line', 'setting_line', $unreadable, ['last' => $rowCount])->getMessage()]);
        }
        $ground = array_filter(['soil' => $said->soil?->value, 'residue' => $said->residue?->value, 'note' => $said->note]);
        $shared = $ground + array_diff_key($told, ['id' => 1, 'line' => 1, 'row' => 1]);
        $entries = [];
        foreach ($said->settings as $setting) {
            foreach ($setting->rows === [0] && $setting->key->isOfRows() ? [$told['row'] ?? 0] : $setting->rows as $row) {
                $entries[] = ['id' => self::id($told['id'] ?? null, count($entries)), 'row' => $row] + self::value($setting) + $shared;
            }
        }

        return $entries;
    }

    /** @return array<string, string|float> */
    private static function value(SaidSetting $setting): array
    {
        return ['key' => $setting->key->value] + ($setting->figure === null ? ['value' => $setting->value] : ['figure' => $setting->figure] + array_filter(['units' => $setting->units?->value, 'scale' => $setting->scale?->value]));
    }

    /** The first has the id of the line; what is no id is refused as any other. */
    private static function id(mixed $line, int $number): mixed
    {
        return $number > 0 && is_string($line) && Uuid::isValid($line) ? Uuid::uuid5($line, "setting {$number}")->toString() : $line;
    }
}
