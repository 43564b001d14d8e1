<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Bench\BenchQuery;
use App\Field\SettingsQuery;
use App\Models\Bench\Disc;
use App\Models\Bench\SeedLot;
use App\Models\Field\Setting;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Meter\LotOnDiscs;

/** Holds each lot that a season's fields will take against the disc in each meter, and says what to change. */
final readonly class SeedOnDiscs
{
    public function __construct(
        private SettingsQuery $settings,
        private BenchQuery $bench,
    ) {
    }

    /** @return array{bool|null, list<string>} whether all fit, null where the lists do not tell; and what to do, in words */
    public function of(Planter $planter, SeasonPlan $plan): array
    {
        $lots = Lots::of($planter->workshop_id);
        $discs = Disc::query()->where('workshop_id', $planter->workshop_id)->orderBy('name')->get();
        $plates = $discs->mapWithKeys(static fn (Disc $disc): array => [mb_strtolower($disc->name) => $disc->plate()])->all();
        $names = $discs->mapWithKeys(static fn (Disc $disc): array => [mb_strtolower($disc->name) => $disc->name])->all();
        $set = $this->settings->held($planter)->where('key', SettingKey::Disc)->values();
        $fits = $plan->fields === [] ? null : true;
        $said = [];
        $fields = [];
        foreach ($plan->fields as $field) {
            $lot = $lots->byId($field['seed_lot_id'] ?? null);
            if ($lot === null) {
                $fits = null;

                continue;
            }
            $fields[$lot->id][] = $field;
        }
        foreach ($fields as $id => $of) {
            $lot = $lots->byId($id);
            if ($lot === null) {
                continue;
            }
            $held = LotOnDiscs::of($lot->seed(), self::discs($planter, $set, $lot, $of), $plates);
            $fits = $held->fits() === false || $fits === false ? false : ($held->fits() === null ? null : $fits);
            array_push($said, ...self::said($lot, $held, $names));
        }
        $notRun = [];
        foreach ($this->bench->due($planter, $this->bench->of($planter)) ?? [] as $row => $due) {
            $notRun[implode(', ', $due)][] = $row;
        }
        foreach ($notRun as $due => $rows) {
            $said[] = __('seed_fit.not_run', ['lot' => $due, 'rows' => self::rows($rows)]);
        }

        // A run that is still to be made keeps it open, and is nothing to tick away.
        return [$notRun === [] ? $fits : false, $said];
    }

    /**
     * What was set for that field or crop last, or else what is in now.
     *
     * @param  Collection<int, Setting>  $set  of discs, the newest first
     * @param  list<array<string, mixed>>  $fields  that take the lot
     * @return array<int, string|null> names in small letters, by row
     */
    private static function discs(Planter $planter, Collection $set, SeedLot $lot, array $fields): array
    {
        $plain = static fn (mixed $name): string => mb_strtolower(trim((string) $name));
        $there = array_filter(array_map($plain, [...array_column($fields, 'name')]));
        $crops = array_filter(array_map($plain, [...array_column($fields, 'crop'), $lot->crop]));
        $isMeant = static fn (Setting $of): bool => in_array($plain($of->field), $there, true) || ($plain($of->field) === '' && in_array($plain($of->crop), $crops, true));
        $isNow = static fn (Setting $of): bool => $of->field === '' && $of->crop === '';
        $discs = [];
        foreach ($planter->runningRows() as $row) {
            $ofRow = $set->filter(static fn (Setting $of): bool => in_array($of->row_number, [0, $row], true));
            $disc = $ofRow->first($isMeant) ?? $ofRow->first($isNow) ?? $ofRow->first();
            $discs[$row] = $disc === null ? null : $plain($disc->value);
        }

        return $discs;
    }

    /**
     * @param  array<string, string>  $names  of discs, by the same in small letters
     * @return list<string>
     */
    private static function said(SeedLot $lot, LotOnDiscs $held, array $names): array
    {
        $fitting = implode(', ', array_map(static fn (string $name): string => $names[$name] ?? $name, $held->fitting));
        $with = ['lot' => $lot->name, 'size' => $lot->size === null ? ($lot->size_class ?: '?') : rtrim(rtrim((string) $lot->size, '0'), '.').' mm', 'discs' => $fitting];
        $said = [];
        foreach (array_unique($held->misfits) as $takes) {
            $rows = array_keys($held->misfits, $takes, true);
            $said[] = __("seed_fit.{$takes}", ['rows' => self::rows($rows)] + $with).' '.($fitting === '' ? self::get($lot) : __('seed_fit.change', $with));
        }
        foreach (array_unique($held->estimated) as $takes) {
            $said[] = __("seed_fit.estimated_{$takes}", ['rows' => self::rows(array_keys($held->estimated, $takes, true))] + $with);
        }
        if ($held->contradicting !== []) {
            $said[] = __('seed_fit.contradicts', ['rows' => self::rows($held->contradicting)] + $with);
        }
        if ($lot->size === null && $lot->size_class === '' && $held->estimated === []) {
            $said[] = __('seed_fit.no_size', $with);
        } elseif ($held->unset !== []) {
            $said[] = __('seed_fit.not_set', ['rows' => self::rows($held->unset)] + $with).($fitting === '' ? ' '.self::get($lot) : '');
        } elseif (! $held->isKnown && $held->estimated === [] && $held->contradicting === []) {
            $said[] = __('seed_fit.no_range', $with);
        }

        return $said;
    }

    /** What to get where no disc of the shop takes a seed: by what is known of it best. */
    public static function get(SeedLot $lot): string
    {
        $number = static fn (float $of): string => (string) round($of, 1);
        [$seed, $estimate] = [$lot->seed(), $lot->seed()->estimate()];

        return match (true) {
            $seed->size !== null => __('seed_fit.get_measured', ['size' => $number($seed->size)]),
            $seed->sizeClass !== '' => __('seed_fit.get_meant', ['class' => trim("{$lot->size_class} {$lot->crop}")]),
            $estimate !== null => __('seed_fit.get_estimated', ['least' => $number($estimate[0]), 'most' => $number($estimate[1])]),
            default => __('seed_fit.get'),
        };
    }

    /** @param  list<int>  $rows */
    private static function rows(array $rows): string
    {
        $last = $rows[count($rows) - 1] ?? 0;

        return count($rows) > 2 && $last - $rows[0] === count($rows) - 1 ? "{$rows[0]}-{$last}" : implode(', ', $rows);
    }
}
