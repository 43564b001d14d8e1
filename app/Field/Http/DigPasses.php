<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\FoundRates;
use App\Field\PassTurns;
use App\Field\RateWords;
use App\Models\Field\Dig;
use App\Models\Field\Setting;
use App\Models\Planter;
use App\Record\Moments;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Dig\ClosingPressure;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Field\Dig\Lever;
use Ustrel\Core\Field\Rate\Rate;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\DepthScale;

/** Draws what was dug on the passes of a planter. */
final readonly class DigPasses
{
    private const INCH = 25.4;

    public function __construct(
        private Planter $planter,
        private FoundRates $rates,
        private FigureWords $words,
    ) {
    }

    /**
     * @param  Collection<int, Dig>  $digs  of one season, the newest first
     * @param  array<string, float>  $gained
     * @return list<DigPassView> the last pass first
     */
    public function all(Collection $digs, array $gained, PassTurns $turns): array
    {
        $passes = [];
        foreach ($digs->groupBy('pass')->sortKeys() as $pass => $ofPass) {
            // The newest dig of a row stands.
            $rows = $ofPass->unique('row_number')->keyBy('row_number')->sortKeys();
            $passes[$pass] = $this->pass((int) $pass, $rows, $gained, $passes === [] ? [] : array_column($passes[array_key_last($passes)]->rows, 'depth', 'row'), $turns);
        }

        return array_reverse(array_values($passes));
    }

    /**
     * @param  Collection<int, Dig>  $digs  by row
     * @param  array<string, float>  $gained
     * @param  array<int, string|null>  $before  depth in words, by row
     */
    private function pass(int $pass, Collection $digs, array $gained, array $before, PassTurns $turns): DigPassView
    {
        $dug = $digs->map(static fn (Dig $dig): DugRow => $dig->dug())->all();
        $together = new DugRows($dug);
        $differing = $together->differing();
        $last = $digs->firstOrFail();
        $aims = FoundRates::aims($this->planter, $last->field);
        $found = $this->rates->of($this->planter, $digs, $aims);
        $rows = [];
        foreach ($digs as $row => $dig) {
            $turn = $turns->turn($dig, $together, $digs, $gained[$dig->id] ?? 0.0);
            $stands = $turns->standsAt($dig);
            $rows[] = $this->row(
                $dig, $dug[$row], $found->rows[$row] ?? null, $aims,
                differs: isset($differing[$row]) ? $differing[$row] > 0 : null,
                turn: $turn?->by,
                deeper: $turn?->isDeeper,
                scale: $turns->scaleOf($row), stands: $stands,
                turnTo: $stands === null || $turn === null ? null : $stands + $turn->by,
                expected: $turn !== null && $turn->tellsDepth ? $this->expected($turns->worthAt($row)->after($row, [Lever::Notch->value => $turn->by])) : null,
                before: $before[$row] ?? null,
            );
        }

        return new DigPassView(
            pass: $pass, field: $last->field, target: $this->words->said((float) $last->target / self::INCH, CalcUnit::Inch), alike: round($together->alike, 2),
            rate: $found === null ? null : FoundRateView::of($found),
            closing: array_map(FigureWords::closing(...), ClosingPressure::of($digs->map(static fn (Dig $of): array => $of->signs())->all())),
            set_before: array_values($turns->before($pass)->map(fn (Setting $of): string => __($of->row_number === 0 ? 'rate.set_all' : 'rate.set_row', ['what' => __("setting.{$of->key->value}"), 'to' => $this->words->setting($of), 'row' => $of->row_number]))->all()),
            rows: $rows,
        );
    }

    private function row(Dig $dig, DugRow $dug, ?Rate $rate, Aims $aims, ?bool $differs, ?float $turn, ?bool $deeper, DepthScale $scale, ?float $stands, ?float $turnTo, ?string $expected, ?string $before): DugRowView
    {
        $drops = $dig->spacing === null ? null : $dug->drops((float) $dig->spacing);
        $population = $dug->population($this->planter->plantedSpacingAt(Moments::of($dig->happened_at))->toMillimetres());

        return new DugRowView(
            differs: $differs, turn: $turn, deeper: $deeper, scale: $scale, stands: $stands, turn_to: $turnTo, expected: $expected, before: $before,
            id: $dig->id, row: $dig->row_number, depths: count($dug->depths), spacings: count($dug->spacings), depth: $this->length($dug->depth()), depth_sd: $this->length($dug->depthSd()),
            off: $dug->depth() === null ? null : round($dug->depth() - (float) $dig->target, 1), spacing: $this->length($dug->spacing()), cv: self::share($dug->spacingCv()), uneven: $drops !== null && $drops->precision() !== null && $aims->isUneven($drops->precision(), count($dug->spacings)),
            missed: self::share($drops?->missIndex()), multiple: self::share($drops?->multipleIndex()), fed: self::share($drops?->feedIndex()),
            population: $population === null ? null : $this->words->said($population, CalcUnit::SeedsAnAcre), rate: $rate === null ? null : ['verdict' => $rate->verdict, 'said' => RateWords::row($rate)],
            seen: array_map(DigSign::from(...), $dig->seen), spot: $dig->spot, residue: $dig->residue, note: $dig->note, by: $dig->user->name,
        );
    }

    /** @param  array{float, float, float}|null  $depth  millimetres: expected, least, most */
    private function expected(?array $depth): ?string
    {
        return $depth === null ? null : (string) __('rate.expected', ['depth' => $this->length($depth[0]), 'least' => $this->length($depth[1]), 'most' => $this->length($depth[2])]);
    }

    private function length(?float $mm): ?string
    {
        return $mm === null ? null : $this->words->said(Measured::of(round($mm / self::INCH, 2)), CalcUnit::Inch);
    }

    private static function share(?float $share): ?float
    {
        return $share === null ? null : round($share, 3);
    }
}
