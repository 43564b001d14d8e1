<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

/** A planter's settings as they were made, one after the other: what is set now, and what comes back with the ground. Domain, 11. */
final readonly class SettingsLog
{
    /** Farther than this a ground is not like another. */
    private const LIKE = 4.0;

    /** @var list<SettingValue> the earliest first */
    private array $made;

    /** @param  list<SettingValue>  $made  in any order */
    public function __construct(array $made)
    {
        usort($made, static fn (SettingValue $one, SettingValue $other): int => [$one->at->milliseconds, $one->id] <=> [$other->at->milliseconds, $other->id]);
        $this->made = $made;
    }

    /** @return array<string, array<int, SettingValue>> what is set now: by key, then by row, 0 for the planter. What is set on the planter goes over what its rows were set to before. */
    public function now(): array
    {
        return self::left($this->made);
    }

    /**
     * What comes back with a ground: each setting as it was left on the nearest ground where it was made, and air and singulator
     * from where the same disc was in. Rows in order, after what is set on all of them.
     *
     * @return list<SettingValue>
     */
    public function recalled(SettingGround $on): array
    {
        $recalled = [];
        foreach (SettingKey::cases() as $key) {
            $made = array_filter($this->made, static fn (SettingValue $of): bool => $of->key === $key && $key->isOfGround() && ! $of->ground->isUnsaid());
            if ($key === SettingKey::Air || $key === SettingKey::Singulator) {
                $made = $this->withDisc($made, $recalled[SettingKey::Disc->value] ?? []) ?: $made;
            }
            $left = self::left(self::nearest($made, $on, $key->goesBySoil()))[$key->value] ?? [];
            ksort($left);
            $recalled[$key->value] = array_values($left);
        }

        return array_merge(...array_values($recalled));
    }

    /**
     * @param  array<SettingValue>  $made  of one key, the earliest first
     * @return list<SettingValue> those that were made on the nearest ground; none where it is too far
     */
    private static function nearest(array $made, SettingGround $on, bool $bySoil): array
    {
        [$best, $least] = [[], self::LIKE];
        foreach ($made as $setting) {
            $far = $on->distance($setting->ground, $bySoil);
            // Of two that are as near, the newer.
            if ($far <= $least) {
                $best = array_values(array_filter($made, static fn (SettingValue $of): bool => $of->ground == $setting->ground));
                $least = $far;
            }
        }

        return $best;
    }

    /**
     * @param  array<SettingValue>  $made
     * @param  list<SettingValue>  $discs  that come back
     * @return array<SettingValue> those that were made while one of these discs was in
     */
    private function withDisc(array $made, array $discs): array
    {
        $names = array_map(static fn (SettingValue $of): string => $of->value, $discs);

        return $names === [] ? $made : array_filter($made, function (SettingValue $setting) use ($names): bool {
            $before = array_filter($this->made, static fn (SettingValue $of): bool => $of->key === SettingKey::Disc && ! $of->at->isAfter($setting->at));

            return $before !== [] && in_array(end($before)->value, $names, true);
        });
    }

    /**
     * @param  list<SettingValue>  $made  the earliest first
     * @return array<string, array<int, SettingValue>>
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
