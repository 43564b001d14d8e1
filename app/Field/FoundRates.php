<?php

declare(strict_types=1);

namespace App\Field;

use App\Field\Watch\SharedRows;
use App\Models\Bench\Disc;
use App\Models\Field\Dig;
use App\Models\Field\WatchPass;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Record\Moments;
use App\Season\SeasonQuery;
use App\Spec\ShopAims;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\SeedSpacing;
use Ustrel\Core\Field\Calc\SprocketSet;
use Ustrel\Core\Field\Rate\DriveKnown;
use Ustrel\Core\Field\Rate\FoundRate;
use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\Judging\Verdict;

/** Judges the rate of what was dug, by all that the record knows of what turns the meters. */
final readonly class FoundRates
{
    private const INCH = 25.4;

    public function __construct(private CalculatorFigures $figures)
    {
    }

    /** What counts as good where a field is planted: by its crop, or by the one crop of the season. */
    public static function aims(Planter $planter, string $field): Aims
    {
        $fields = SeasonQuery::plan($planter)->fields;
        $crops = array_values(array_unique(array_filter(array_column($fields, 'crop'))));
        $there = array_values(array_filter($fields, static fn (array $of): bool => $field !== '' && mb_strtolower($of['name']) === mb_strtolower($field)));

        return ShopAims::of($planter->workshop_id)->for((string) ($there[0]['crop'] ?? (count($crops) === 1 ? $crops[0] : '')));
    }

    /**
     * @param  Collection<int, Dig>  $digs  of one pass, one of each row
     * @return FoundRate|null null where no spacings were dug, or nobody said what is set
     */
    public function of(Planter $planter, Collection $digs, Aims $aims): ?FoundRate
    {
        $told = $digs->filter(static fn (Dig $dig): bool => $dig->spacing !== null && count($dig->spacings) > 1);
        $ratios = $told->mapWithKeys(static fn (Dig $dig): array => [$dig->row_number => array_map(static fn (float $one): float => $one / (float) $dig->spacing, $dig->dug()->spacings)])->all();

        return $ratios === [] ? null : FoundRate::of($ratios, $planter->row_count, SharedRows::of($planter) ?: SharedRows::proposed($planter), $this->drive($planter), self::monitored($planter, $told), $aims->rate);
    }

    private function drive(Planter $planter): DriveKnown
    {
        $known = $this->figures->of($planter);
        $teeth = static fn (string $key): array => array_map(intval(...), (array) ($known[$key] ?? []));
        $pairs = array_chunk($teeth('now'), 2);
        $isPaired = $pairs !== [] && count(end($pairs)) === 2;
        $isGround = $planter->units()->most->drive->isByGround();
        $walk = $isGround ? $planter->walkThatMatters() : null;
        $wheel = $walk === null ? null : Cell::query()->where('walk_id', $walk->id)->where('check_key', 'drive_wheel_contact')->value('verdict');

        return new DriveKnown(
            $isGround,
            /** @phpstan-ignore argument.type */
            $isPaired ? new SprocketSet($pairs) : null,
            $teeth('box'),
            isset($known['cells']) ? (int) $known['cells'] : null,
            array_values(array_map(intval(...), Disc::query()->where('workshop_id', $planter->workshop_id)->distinct()->pluck('cells')->all())),
            $wheel === null ? null : $wheel === Verdict::Sound,
        );
    }

    /**
     * What the monitor counted on the passes nearest to the digs, a day away at most.
     *
     * @param  Collection<int, Dig>  $digs
     * @return array<int, float> population set over population counted, by row
     */
    private static function monitored(Planter $planter, Collection $digs): array
    {
        $last = $digs->max('happened_at');
        $field = mb_strtolower($digs->first()->field ?? '');
        $pass = $last === null ? null : WatchPass::query()
            ->whereIn('watch_run_id', WatchRun::query()->select('id')->where('planter_id', $planter->id)->whereNull('practice')->when($field !== '', static fn (Builder $of): Builder => $of->whereRaw("lower(field) IN (?, '')", [$field])))
            ->whereBetween('to_at', [$last->subDay(), $last->addDay()])->orderByDesc('to_at')->first();
        $monitored = [];
        foreach ($pass->means[Watched::Population->value] ?? [] as $row => $counted) {
            $dig = $digs->firstWhere('row_number', $row);
            if ($dig !== null && $counted > 0) {
                $monitored[$row] = SeedSpacing::population((float) $dig->spacing / self::INCH, $planter->plantedSpacingAt(Moments::of($dig->happened_at))->toInches()) / $counted;
            }
        }

        return $monitored;
    }
}
