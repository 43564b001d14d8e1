<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

/** A planter's settings as they were made, one after the other: what is set now, and what comes back with the ground. Domain, 11. */
final readonly class SettingsLog
{
    /** Farther than this a ground is not like another. */
    private const LIKE = 4.0;

    /** @var list<Setting> the earliest first */
    private array $made;

    /** @param  list<Setting>  $made  in any order */
    public function __construct(array $made)
    {
        usort($made, static fn (Setting $one, Setting $other): int => [$one->at->milliseconds, $one->id] <=> [$other->at->milliseconds, $other->id]);
        $this->made = $made;
    }

    /** @return array<string, array<int, Setting>> what is set now: by key, then by row, 0 for the planter. What is set on the planter goes over what its rows were set to before. */
    public function now(): array
    {
        return self::left($this->made);
    }

    /**
     * What the planter was left at on the ground that is most like this one: by the last of what was set there.
     *
     * @return array{SettingGround, float, list<Setting>}|null that ground, how far it is, and what comes back; null where it was on none like it
     */
    public function recalled(SettingGround $on): ?array
    {
        $byGround = [];
        foreach ($this->made as $setting) {
            if ($setting->key->isOfGround() && ! $setting->ground->isUnsaid()) {
                $byGround[serialize($setting->ground)][] = $setting;
            }
        }
        $best = null;
        foreach ($byGround as $there) {
            [$ground, $last] = [$there[0]->ground, $there[array_key_last($there)]];
            $far = $on->distance($ground);
            // Of two that are as near, the newer.
            if ($far <= self::LIKE && ($best === null || $far < $best[1] || ($far === $best[1] && $last->at->isAfter($best[2][array_key_last($best[2])]->at)))) {
                $best = [$ground, $far, $there];
            }
        }

        return $best === null ? null : [$best[0], $best[1], array_merge(...array_map(array_values(...), array_values(self::left($best[2]))))];
    }

    /**
     * @param  list<Setting>  $made  the earliest first
     * @return array<string, array<int, Setting>>
     */
    private static function left(array $made): array
    {
        $left = [];
        foreach ($made as $setting) {
            if ($setting->row === 0) {
                $left[$setting->key->value] = [];
            }
            $left[$setting->key->value][$setting->row] = $setting;
        }

        return $left;
    }
}
