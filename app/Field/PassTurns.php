<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Dig;
use App\Models\Field\Setting;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Season\SeasonQuery;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Dig\DepthTurn;
use Ustrel\Core\Field\Dig\DugAt;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Field\Dig\Lever;
use Ustrel\Core\Field\Dig\LeverLog;
use Ustrel\Core\Field\Dig\TurnWorth;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\Sheet;

/** What was set between the passes of a season, and what a turn of each lever is worth by them. */
final readonly class PassTurns
{
    private const NOTCH = 6.35;

    /**
     * @param  Collection<int, Setting>  $set  that make a dig old, the earliest first
     * @param  array<int, Moment>  $begins  when the first row of each pass was dug, by pass
     */
    private function __construct(
        private Collection $set,
        private array $begins,
        private LeverLog $log,
        /** @var array<string, TurnWorth> by the scale of its rows: a notch of one row and a turn of another are not worth the same */
        private array $worths,
        private Sheet $sheet,
        private RowUnits $units,
    ) {
    }

    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  Collection<int, Dig>  $digs  of one season
     * @param  array<string, float>  $gained  by which blades that were changed since plant deeper, millimetres, by id of the dig
     */
    public static function of(Planter $planter, Collection $digs, array $gained): self
    {
        $set = Setting::current($planter->id)->with('user')->orderBy('happened_at')->orderBy('id')->get()->filter(static fn (Setting $of): bool => $of->key->makesDigsOld());
        $units = $planter->units();
        $begins = [];
        foreach ($digs->sortBy('happened_at') as $dig) {
            $begins[$dig->pass] ??= self::moment($dig);
        }
        ksort($begins);
        $levers = self::foundAt($planter);
        foreach ($set as $of) {
            $told = Lever::told($of->key, $of->value, $of->figure === null ? null : (float) $of->figure);
            if ($told !== null) {
                array_push($levers, ...array_map(static fn (int $row): array => [self::moment($of), $row, ...$told], self::rowsOf($of, $units)));
            }
        }
        foreach ($digs as $dig) {
            if ($dig->mark !== null) {
                $levers[] = [$begins[$dig->pass], $dig->row_number, Lever::Notch, (float) $dig->mark];
            }
        }
        usort($levers, static fn (array $one, array $other): int => $one[0]->milliseconds <=> $other[0]->milliseconds);
        $log = new LeverLog($levers);
        $sheet = $planter->readSheet();
        $dugAt = self::dugAt($planter, $digs, $begins, $log, $gained);
        $worths = [];
        foreach ($units->kinds() as [$equipment, $rows]) {
            $scale = $equipment->depthScale;
            $worths[$scale->value] ??= TurnWorth::of(
                array_values(array_filter($dugAt, static fn (DugAt $of): bool => $units->at($of->row)->depthScale === $scale)),
                $scale->worth(self::notch($sheet->at($rows[0]))),
            );
        }

        return new self($set, $begins, $log, $worths, $sheet, $units);
    }

    /**
     * How far a row is turned by a dig of a pass, which tells nothing new once others have followed.
     *
     * @param  Collection<int, Dig>  $digs  of the pass
     * @param  float  $gained  by which blades that were changed since plant deeper, millimetres
     */
    public function turn(Dig $dig, DugRows $dug, Collection $digs, float $gained): ?DepthTurn
    {
        $scale = $this->scaleOf($dig->row_number);
        $alike = $digs->filter(fn (Dig $of): bool => $this->scaleOf($of->row_number) === $scale);
        $stands = array_filter($alike->mapWithKeys(fn (Dig $of): array => [$of->row_number => $this->standsAt($of)])->all(), is_float(...));

        return DepthTurn::of($dig->row_number, $scale, $dug, $this->isLast($dig->pass) ? $this->worthAt($dig->row_number) : null, $stands, (float) $dig->target, self::notch($this->sheet->at($dig->row_number)), $gained);
    }

    public function scaleOf(int $row): DepthScale
    {
        return $this->units->at($row)->depthScale;
    }

    /** What a turn of each lever is worth on a row, by the passes of those whose depth is set alike. */
    public function worthAt(int $row): TurnWorth
    {
        return $this->worths[$this->scaleOf($row)->value];
    }

    /** @return array<string, TurnWorth> by scale */
    public function worths(): array
    {
        return $this->worths;
    }

    /** @return list<int> rows that a setting was made on: 0 for all; a depth only on those whose depth is set on that scale */
    private static function rowsOf(Setting $set, RowUnits $units): array
    {
        if ($set->key !== SettingKey::DepthMark) {
            return [$set->row_number];
        }
        $scale = $set->depth_scale ?? $units->at($set->row_number)->depthScale;

        return array_values(array_filter($set->row_number === 0 ? range(1, $units->rows) : [$set->row_number], static fn (int $row): bool => $units->at($row)->depthScale === $scale));
    }

    /** Depth of one by the sheet, millimetres. */
    private static function notch(Sheet $sheet): float
    {
        return ($quantity = $sheet->notch->quantity) instanceof Length ? $quantity->toMillimetres() : self::NOTCH;
    }

    /**
     * @return Collection<int, Setting> what was set after the pass before began, the earliest first
     */
    public function before(int $pass): Collection
    {
        $earlier = array_filter(array_keys($this->begins), static fn (int $of): bool => $of < $pass);
        [$from, $to] = [$earlier === [] ? null : $this->begins[max($earlier)], $this->begins[$pass]];

        return $this->set->filter(static fn (Setting $of): bool => $from !== null && self::moment($of)->isAfter($from) && ! self::moment($of)->isAfter($to))->values();
    }

    public function isLast(int $pass): bool
    {
        return $pass === array_key_last($this->begins);
    }

    /** Notch, mark or turn that a row stood at when it was dug; null where nobody said. */
    public function standsAt(Dig $dig): ?float
    {
        return $this->log->stands($dig->row_number, self::moment($dig))[Lever::Notch->value] ?? null;
    }

    /**
     * Digs on ground like the last one's.
     *
     * @param  Collection<int, Dig>  $digs
     * @param  array<int, Moment>  $begins
     * @param  array<string, float>  $gained
     * @return list<DugAt>
     */
    private static function dugAt(Planter $planter, Collection $digs, array $begins, LeverLog $log, array $gained): array
    {
        $soils = array_column(SeasonQuery::plan($planter)->fields, 'soil', 'name');
        $last = $digs->sortBy('happened_at')->last();
        $dugAt = $first = [];
        foreach ($digs->groupBy('pass')->sortKeys() as $pass => $ofPass) {
            $rows = $ofPass->unique('row_number')->keyBy('row_number')->filter(static fn (Dig $dig): bool => ($soils[$dig->field] ?? null) === ($soils[$last->field ?? ''] ?? null));
            $together = new DugRows($rows->map(static fn (Dig $dig): DugRow => $dig->dug())->all());
            foreach ($rows as $row => $dig) {
                $mean = $together->mean((int) $row);
                $first[$row] ??= $begins[$pass];
                if ($mean !== null) {
                    $dugAt[] = new DugAt((int) $row, $mean[0] + ($gained[$dig->id] ?? 0.0), $mean[1], $log->moved((int) $row, $first[$row], $begins[$pass]));
                }
            }
        }

        return $dugAt;
    }

    /** @return list<array{Moment, int, Lever, float}> where the depth of each row was found set on the walk that matters */
    private static function foundAt(Planter $planter): array
    {
        $walk = $planter->walkThatMatters();
        $cells = $walk === null ? new Collection : Cell::query()->where('walk_id', $walk->id)->whereIn('check_key', ['depth_set_notch', 'depth_mark'])->whereNotNull('value')->get();

        return array_values($cells->map(static fn (Cell $of): array => [Moment::of($of->taken_at->toIso8601ZuluString('millisecond')), $of->row_number, Lever::Notch, (float) $of->value])->all());
    }

    private static function moment(Dig|Setting $of): Moment
    {
        return Moment::of($of->happened_at->toIso8601ZuluString('millisecond'));
    }
}
