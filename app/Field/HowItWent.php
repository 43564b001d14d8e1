<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Dig;
use App\Models\Field\StandCount;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Emergence\PlantCount;

/** What came of the settings that a field was left with: what was planted, what was dug and what came up there in the same season. */
final readonly class HowItWent
{
    private const INCH = 25.4;

    /** @return list<string> in words, each one sentence */
    public function __invoke(Planter $planter, string $field, int $season, FigureWords $words): array
    {
        $name = mb_strtolower(trim($field));

        return $name === '' ? [] : array_values(array_filter([$this->planted($planter, $name, $season, $words), $this->dug($planter, $name, $season, $words), $this->stood($planter, $name, $season, $words)]));
    }

    private function planted(Planter $planter, string $name, int $season, FigureWords $words): ?string
    {
        $lines = AcresEntry::current($planter->id)->planted()->whereRaw('lower(field) = ?', [$name])->orderByDesc('day')->get()
            ->filter(static fn (AcresEntry $of): bool => $planter->seasons()->of($of->day) === $season);
        if ($lines->isEmpty()) {
            return null;
        }
        $acres = $lines->sum(static fn (AcresEntry $of): float => (float) $of->acres);
        $fast = $lines->filter(static fn (AcresEntry $of): bool => $of->mph !== null);
        $mph = $fast->sum(static fn (AcresEntry $of): float => (float) $of->acres * (float) $of->mph) / max(0.001, $fast->sum(static fn (AcresEntry $of): float => (float) $of->acres));

        return $fast->isEmpty() ? __('went.planted', ['acres' => $words->said(round($acres, 1), CalcUnit::Acre)]) : __('went.planted_at', ['acres' => $words->said(round($acres, 1), CalcUnit::Acre), 'speed' => $words->said(round($mph, 1), CalcUnit::Mph)]);
    }

    /** By the last pass that was dug there. */
    private function dug(Planter $planter, string $name, int $season, FigureWords $words): ?string
    {
        $digs = Dig::current($planter->id)->whereRaw('lower(field) = ?', [$name])->orderByDesc('happened_at')->orderByDesc('id')->get()
            ->filter(static fn (Dig $of): bool => $planter->seasonAt($of->happened_at->toIso8601String()) === $season);
        $last = $digs->where('pass', $digs->max('pass'))->unique('row_number');
        if ($last->isEmpty()) {
            return null;
        }
        $dug = $last->map(static fn (Dig $of): DugRow => $of->dug())->values()->all();
        $together = new DugRow(array_merge(...array_column($dug, 'depths')), array_merge(...array_column($dug, 'spacings')));
        [$depth, $cv] = [$together->depth(), $together->spacingCv()];
        if ($depth === null) {
            return null;
        }

        return __($cv === null ? 'went.dug' : 'went.dug_spaced', [
            'rows' => trans_choice('went.rows', $last->count()), 'depth' => $words->said(Measured::of(round($depth / self::INCH, 2)), CalcUnit::Inch), 'wanted' => $words->said((float) $last->firstOrFail()->target / self::INCH, CalcUnit::Inch),
            'cv' => $words->said(round(100 * (float) $cv), CalcUnit::Percent),
        ]);
    }

    /** By the newest count of each row. */
    private function stood(Planter $planter, string $name, int $season, FigureWords $words): ?string
    {
        /** @var Collection<int, StandCount> $counts */
        $counts = StandCount::current($planter->id)->whereRaw('lower(field) = ?', [$name])->orderByDesc('happened_at')->orderByDesc('id')->get()
            ->filter(static fn (StandCount $of): bool => $planter->seasons()->of($of->planted_on) === $season);
        $counts = $counts->where('planted_on', $counts->first()?->planted_on);
        if ($counts->isEmpty()) {
            return null;
        }
        $zone = $planter->workshop->time_zone;
        $stand = PlantCount::together(array_values($counts->unique('row_number')->map(static fn (StandCount $of): PlantCount => $of->counted($zone))->all()), $planter->plantedSpacingOn($counts->firstOrFail()->planted_on)->toInches());
        $expected = StandCount::expectedBy($counts);

        return __($expected === null ? 'went.stood' : 'went.stood_share', ['stand' => $words->said($stand, CalcUnit::PlantsAnAcre), 'share' => $expected === null ? '' : $words->said(round(100 * $stand->value / $expected, 1), CalcUnit::Percent)]);
    }
}
