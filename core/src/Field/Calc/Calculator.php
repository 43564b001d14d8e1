<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\Field\MarkToDepth;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\TooFewMarks;
use Ustrel\Core\Season\Tank;

/** Works one calculation, all in the units that its inputs name. */
final readonly class Calculator
{
    /** A turn that is counted is right to a quarter of one. */
    private const TURN_SD = 0.25;

    /** The closest that are told. */
    private const SETS = 3;

    /** @param  array<string, list<float>|float|null>  $in */
    private function __construct(private array $in)
    {
    }

    /**
     * @param  array<string, list<float>|float|null>  $in  by key of input
     * @return list<CalcLine>
     *
     * @throws InvalidFigure
     */
    public static function work(Calculation $calculation, array $in): array
    {
        foreach ($calculation->inputs() as $input) {
            $input->check($in[$input->key] ?? null);
        }
        $of = new self($in);

        return match ($calculation) {
            Calculation::Spacing => $of->spacing(),
            Calculation::Population => [CalcLine::figure('population', SeedSpacing::population($of->f('spacing'), $of->f('width')), CalcUnit::SeedsAnAcre, keeps: SettingKey::Population)],
            Calculation::Sprockets => $of->sprockets(),
            Calculation::Weighing => [CalcLine::figure('population', Weighing::population(
                Measured::of($of->f('in'), $of->known('scale') ?? 0.0), Measured::of($of->f('out'), $of->known('scale') ?? 0.0), Measured::of($of->f('acres')),
                Measured::of($of->f('seeds_lb'), $of->f('seeds_lb') * ($of->known('seeds_lb_off') ?? 0.0) / 100),
            ), CalcUnit::SeedsAnAcre)],
            Calculation::Circumference => [CalcLine::figure('circumference', Measured::of($of->f('feet'))->over(Measured::of($of->f('turns'), self::TURN_SD)), CalcUnit::Foot, keeps: SettingKey::Circumference)],
            Calculation::Slip => [CalcLine::figure('slip', Wheel::slip(Measured::of($of->f('turns'), self::TURN_SD), Measured::of($of->f('circumference')), Measured::of($of->f('feet')))->times(100.0), CalcUnit::Percent, keeps: SettingKey::Slip)],
            Calculation::AcreCounter => $of->acreCounter(),
            Calculation::FourAnswers => $of->fourAnswers(),
            Calculation::StandRate => [CalcLine::figure('population', StandRate::seeds($of->f('plants'), $of->f('germination') / 100, $of->f('emergence') / 100), CalcUnit::SeedsAnAcre, keeps: SettingKey::Population)],
            Calculation::DrillRate => $of->drillRate(),
            Calculation::DryCatch => [CalcLine::figure('dry_rate', Rates::dry(Measured::of($of->f('caught'), $of->known('scale') ?? 0.0), $of->f('feet'), $of->f('feet_wide')), CalcUnit::PoundsAnAcre)],
            Calculation::Liquid => $of->liquid(),
            Calculation::RowCatch => $of->rowCatch(),
            Calculation::Fills => $of->fills(),
            Calculation::Marker => [CalcLine::figure('marker', Toolbar::marker((int) $of->f('rows'), $of->f('width')), CalcUnit::Inch, keeps: SettingKey::Marker)],
            Calculation::GuessRow => [CalcLine::figure('guess_row', Toolbar::guessRow($of->f('gap'), $of->f('width')), CalcUnit::Inch)],
            Calculation::Ballast => [CalcLine::figure('ballast', Toolbar::ballast($of->list('downforces'), $of->f('usable'), $of->list('arms'), $of->known('usable_at'), $of->known('ballast_at')), CalcUnit::Pound, keeps: SettingKey::Ballast)],
            Calculation::Reaction => $of->reaction(),
            Calculation::DepthMark => $of->depthMark(),
        };
    }

    /** @return list<CalcLine> */
    private function spacing(): array
    {
        $lines = [
            CalcLine::figure('spacing', SeedSpacing::inches($this->f('population'), $this->f('width')), CalcUnit::Inch),
            CalcLine::figure('thousandth', SeedSpacing::thousandth($this->f('width')), CalcUnit::Foot),
        ];
        $mph = $this->known('mph');
        if ($mph !== null) {
            $seeds = SeedSpacing::aSecond($this->f('population'), $this->f('width'), $mph);
            $lines[] = CalcLine::figure('seeds_second', $seeds, CalcUnit::SeedsASecond);
            if ($this->known('cells') !== null) {
                $lines[] = CalcLine::figure('meter_turns', SeedSpacing::turns($seeds, (int) $this->f('cells')), CalcUnit::TurnsAMinute);
            }
        }

        return $lines;
    }

    /** @return list<CalcLine> what a drill is set to: pounds an acre = seeds an acre / seeds a pound (domain, 24), and what that is in the row and in the box */
    private function drillRate(): array
    {
        $pounds = $this->f('population') / $this->f('seeds_lb');
        $lines = [CalcLine::figure('seed_pounds', $pounds, CalcUnit::PoundsAnAcre)];
        if ($this->known('width') !== null) {
            $lines[] = CalcLine::figure('seeds_foot', $this->f('population') * $this->f('width') / 12 / SeedSpacing::FEET, CalcUnit::SeedsAFoot);
        }
        if ($this->known('acres') !== null) {
            $lines[] = CalcLine::figure('seed_needed', $pounds * $this->f('acres'), CalcUnit::Pound);
        }

        return $lines;
    }

    /** @return list<CalcLine> the closest three, with what each plants and what has to be changed for it */
    private function sprockets(): array
    {
        $drive = new GroundDrive((int) $this->f('cells'), $this->f('circumference'), $this->f('slip') / 100, $this->known('fixed') ?? 1.0);
        $teeth = array_map(intval(...), $this->list('now'));
        $stages = (int) $this->f('stages');
        if ($teeth !== [] && count($teeth) !== 2 * $stages) {
            throw InvalidFigure::of('now', 'pairs', ['teeth' => 2 * $stages]);
        }
        /** @var non-empty-list<array{int, int}> $pairs */
        $pairs = array_chunk($teeth, 2);
        $now = $teeth === [] ? null : new SprocketSet($pairs);
        $wanted = $this->f('population');
        $lines = [CalcLine::figure('seeds_foot', $wanted * $this->f('width') / 12 / SeedSpacing::FEET, CalcUnit::SeedsAFoot)];
        foreach (array_slice((new SprocketBox(array_map(intval(...), $this->list('box'))))->nearest($drive->ratioFor($wanted, $this->f('width')), $stages, $now), 0, self::SETS) as $at => $set) {
            $population = $drive->population($set->ratio(), $this->f('width'));
            $lines[] = CalcLine::said('sprockets', $set->said(), SettingKey::Sprockets, $at + 1);
            $lines[] = CalcLine::figure('plants', $population, CalcUnit::SeedsAnAcre, $at + 1);
            $lines[] = CalcLine::figure('off', 100 * ($population / $wanted - 1), CalcUnit::Percent, $at + 1);
            foreach ($now === null ? [] : $set->changesFrom($now) as [$stage, $which, $from, $to]) {
                $lines[] = CalcLine::said("change_{$which}", "{$from} → {$to}", number: $stage);
            }
        }

        return $lines;
    }

    /** @return list<CalcLine> */
    private function acreCounter(): array
    {
        $acres = Wheel::acres($this->f('turns'), $this->f('circumference'), $this->f('width') * $this->f('rows') / 12, $this->f('slip') / 100);
        $map = $this->known('map');

        return [CalcLine::figure('acres', $acres, CalcUnit::Acre), ...($map === null ? [] : [CalcLine::figure('against_map', 100 * ($acres / $map - 1), CalcUnit::Percent)])];
    }

    /** @return list<CalcLine> */
    private function fourAnswers(): array
    {
        $seen = static fn (?float $value): ?Measured => $value === null ? null : Measured::of($value);
        $dug = $this->known('dug');
        $feet = $this->known('dug_feet');
        if (($dug === null) !== ($feet === null)) {
            throw InvalidFigure::of('dug', 'dug_together');
        }
        $digging = $dug === null ? null : Measured::counted((int) $dug)->over($feet * $this->f('width') / 12 / SeedSpacing::FEET);
        $four = new FourAnswers(['gearing' => $seen($this->known('gearing')), 'weighing' => $seen($this->known('weighing')), 'digging' => $digging, 'monitor' => $seen($this->known('monitor'))]);
        $middle = $four->middle()->value;
        $lines = [];
        foreach ($four->answers as $name => $answer) {
            $lines[] = CalcLine::figure("by_{$name}", $answer, CalcUnit::SeedsAnAcre, round(100 * ($answer->value / $middle - 1), 1));
        }
        foreach ($four->suspects() ?: ['agree'] as $suspect) {
            $lines[] = CalcLine::said('suspect', $suspect);
        }

        return $lines;
    }

    /** @return list<CalcLine> */
    private function liquid(): array
    {
        $wide = $this->f('width') * $this->f('rows') / 12;
        $demand = Rates::pump($this->f('rate'), $this->f('mph'), $wide);
        $capacity = $this->known('capacity');

        return [
            CalcLine::figure('per_row', Rates::perRow($this->f('rate'), $this->f('mph'), $this->f('width')), CalcUnit::GallonsAMinute),
            CalcLine::figure('pump', $demand, CalcUnit::GallonsAMinute, isAmiss: $capacity !== null && $demand > $capacity),
            ...($capacity === null ? [] : [CalcLine::figure('fastest', Rates::fastest($this->f('rate'), $wide, $capacity), CalcUnit::Mph)]),
        ];
    }

    /** @return list<CalcLine> */
    private function rowCatch(): array
    {
        $caught = $this->list('catches');
        [$median, $off] = Rates::catch(array_combine(range(1, max(1, count($caught))), $caught ?: [0.0]));
        $lines = [CalcLine::figure('median', $median)];
        foreach ($off as $row => $share) {
            $lines[] = CalcLine::figure('row_off', 100 * $share, CalcUnit::Percent, $row, isAmiss: true);
        }

        return $off === [] ? [...$lines, CalcLine::said('rows_alike', 'alike')] : $lines;
    }

    /** @return list<CalcLine> */
    private function fills(): array
    {
        [$volumes, $rates] = [$this->list('volumes'), $this->list('rates')];
        if (count($volumes) !== count($rates) || $volumes === []) {
            throw InvalidFigure::of('rates', 'as_many');
        }
        $balance = new FillBalance(array_map(static fn (float $volume, float $rate, int $at): Tank => new Tank((string) $at, $volume, $rate), $volumes, $rates, array_keys($volumes)));
        $lines = [CalcLine::figure('first_stop', $balance->acres(), CalcUnit::Acre)];
        foreach ($balance->each() as $at => $acres) {
            $lines[] = CalcLine::figure('tank_acres', $acres, CalcUnit::Acre, $at + 1);
            $short = $balance->short()[$at];
            if ($short > 0) {
                $lines[] = CalcLine::figure('tank_short', $short, number: $at + 1);
            }
        }

        return $lines;
    }

    /** @return list<CalcLine> */
    private function reaction(): array
    {
        $feet = Toolbar::reaction($this->f('mph'), $this->f('seconds'));
        $strip = $this->known('strip');

        return [CalcLine::figure('reaction', $feet, CalcUnit::Foot, isAmiss: $strip !== null && $feet > $strip), ...($strip === null ? [] : [CalcLine::figure('share_of_strip', 100 * $feet / $strip, CalcUnit::Percent)])];
    }

    /** @return list<CalcLine> */
    private function depthMark(): array
    {
        [$marks, $depths] = [$this->list('marks'), $this->list('depths')];
        if (count($marks) !== count($depths)) {
            throw InvalidFigure::of('depths', 'as_many_digs');
        }
        try {
            $line = MarkToDepth::fit(array_map(static fn (float $mark, float $depth): array => [$mark, 25.4 * $depth], $marks, $depths));
        } catch (TooFewMarks) {
            throw InvalidFigure::of('marks', 'two_marks');
        }
        $mark = $line->markFor(25.4 * $this->f('aim'));
        $between = $line->interval($mark);

        return [
            CalcLine::figure('set_mark', $mark, keeps: SettingKey::DepthMark->holds($mark) ? SettingKey::DepthMark : null),
            ...($between === null ? [] : [CalcLine::figure('depth_from', $between[0] / 25.4, CalcUnit::Inch), CalcLine::figure('depth_to', $between[1] / 25.4, CalcUnit::Inch)]),
        ];
    }

    /** Of an input that has been checked. */
    private function f(string $key): float
    {
        $value = $this->in[$key] ?? 0.0;

        return is_array($value) ? 0.0 : $value;
    }

    private function known(string $key): ?float
    {
        $value = $this->in[$key] ?? null;

        return is_array($value) ? null : $value;
    }

    /** @return list<float> */
    private function list(string $key): array
    {
        $value = $this->in[$key] ?? [];

        return is_array($value) ? $value : [$value];
    }
}
