<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Dig;
use App\Models\Field\Setting;
use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchRun;
use App\Models\Planter;
use App\Models\Walk\Cell;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Dig\ClosingPressure;
use Ustrel\Core\Field\Dig\FirstPassDone;
use Ustrel\Core\Field\Dig\FirstPassStep;
use Ustrel\Core\Field\Dig\SignOffKind;
use Ustrel\Core\Field\Rate\RateFinding;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;

/** What is still open where somebody calls a planter ready: each is asked about, and the answer is kept with the sign-off. */
final readonly class OpenBeforePlanting
{
    public function __construct(
        private FirstPassQuery $query,
        private FoundRates $rates,
    ) {
    }

    /** @return list<array{key: string, said: string}> */
    public function of(Planter $planter): array
    {
        $signOffs = $this->query->signOffs($planter);
        $turned = $signOffs->firstWhere('kind', SignOffKind::HandTurned);
        [$dug, $adjusted] = $this->dug($planter);
        $open = [];
        if ($turned === null) {
            $open[] = ['key' => 'hand_turned', 'said' => __('open_item.hand_turned')];
        } elseif ($turned->rows !== []) {
            $open[] = ['key' => 'not_dropped', 'said' => trans_choice('open_item.not_dropped', count($turned->rows), ['rows' => implode(', ', $turned->rows)])];
        }
        if (! FirstPassDone::isDug(array_map(self::at(...), $dug), $adjusted, count($planter->runningRows()))) {
            $open[] = ['key' => 'digs', 'said' => __('open_item.digs', ['enough' => FirstPassDone::enough(count($planter->runningRows()))])];
        }

        return [...$open, ...self::offDepth($planter, $dug), ...self::closing($dug), ...$this->offRate($planter, $dug), ...self::again($planter), ...self::unsound($planter), ...self::alarms($planter)];
    }

    /** Whether the first pass was dug after the last adjustment, and signed off after that. */
    public function isDone(Planter $planter): bool
    {
        [$dug, $adjusted] = $this->dug($planter);
        $signed = $this->query->signOffs($planter)->firstWhere('kind', SignOffKind::Ready);

        return FirstPassDone::isDone(array_map(self::at(...), $dug), $adjusted, $signed === null ? null : Moment::of($signed->happened_at->toIso8601ZuluString('millisecond')), count($planter->runningRows()));
    }

    /**
     * @param  list<array{key: string, said: string}>  $open  as `of` says
     * @return list<FirstPassStep> that are done
     */
    public function steps(Planter $planter, array $open): array
    {
        [$dug, $adjusted] = $this->dug($planter);
        $keys = array_column($open, 'key');
        $isOff = array_filter($keys, static fn (string $key): bool => str_starts_with($key, 'depth:') || str_starts_with($key, 'rate:')) !== [];

        return FirstPassDone::steps(! in_array('hand_turned', $keys, true), array_map(self::at(...), $dug), $adjusted, $isOff, $this->isDone($planter), count($planter->runningRows()));
    }

    /** @return array{array<int, Dig>, Moment|null} the newest dig of each row this season, and when something of a row was set last */
    private function dug(Planter $planter): array
    {
        $digs = $this->query->digs($planter)[$planter->season()] ?? new Collection;
        $set = Setting::current($planter->id)->whereIn('key', array_filter(SettingKey::cases(), static fn (SettingKey $key): bool => $key->makesDigsOld()))->orderByDesc('happened_at')->first();
        $adjusted = $set === null || $planter->seasonAt($set->happened_at->toIso8601String()) !== $planter->season() ? null : Moment::of($set->happened_at->toIso8601ZuluString('millisecond'));

        return [$digs->unique('row_number')->keyBy('row_number')->sortKeys()->all(), $adjusted];
    }

    private static function at(Dig $dig): Moment
    {
        return Moment::of($dig->happened_at->toIso8601ZuluString('millisecond'));
    }

    /**
     * @param  array<int, Dig>  $dug
     * @return list<array{key: string, said: string}> rows outside of the depth band
     */
    private static function offDepth(Planter $planter, array $dug): array
    {
        $open = $aims = [];
        foreach ($dug as $row => $dig) {
            $depth = $dig->dug()->depth();
            $aims[$dig->field] ??= FoundRates::aims($planter, $dig->field);
            if ($depth !== null && $aims[$dig->field]->isOffDepth($depth, (float) $dig->target)) {
                $open[] = ['key' => "depth:{$row}", 'said' => __('open_item.depth', ['row' => $row])];
            }
        }

        return $open;
    }

    /**
     * @param  array<int, Dig>  $dug
     * @return list<array{key: string, said: string}> rows whose furrows want another closing pressure
     */
    private static function closing(array $dug): array
    {
        return array_map(static fn (ClosingPressure $of): array => ['key' => "closing:{$of->move->value}:".implode(',', $of->rows), 'said' => FigureWords::closing($of)], ClosingPressure::of(array_map(static fn (Dig $of): array => $of->signs(), $dug)));
    }

    /**
     * @param  array<int, Dig>  $dug
     * @return list<array{key: string, said: string}> rows outside of the band of the rate
     */
    private function offRate(Planter $planter, array $dug): array
    {
        $found = $dug === [] ? null : $this->rates->of($planter, new Collection(array_values($dug)), FoundRates::aims($planter, array_values($dug)[0]->field));

        return array_map(static fn (RateFinding $of): array => [
            'key' => "rate:{$of->scope->value}:".implode(',', $of->rows), 'said' => __('open_item.rate', ['rows' => RateWords::rows($of), 'by' => RateWords::by($of->rate)]),
        ], $found->findings ?? []);
    }

    /**
     * Depth and downforce move what bears on the ground: it is looked at again after they were changed.
     *
     * @return list<array{key: string, said: string}>
     */
    private static function again(Planter $planter): array
    {
        $moved = [];
        $last = null;
        foreach (Setting::current($planter->id)->whereIn('key', array_filter(SettingKey::cases(), static fn (SettingKey $key): bool => $key->movesWhatBears()))->orderBy('happened_at')->get() as $set) {
            if ($planter->seasonAt($set->happened_at->toIso8601String()) === $planter->season()) {
                $at = Moment::of($set->happened_at->toIso8601ZuluString('millisecond'));
                $moved = array_fill_keys($set->row_number === 0 ? range(1, $planter->row_count) : [$set->row_number], $at) + $moved;
                $last = $at;
            }
        }
        if ($last === null) {
            return [];
        }
        $sheet = $planter->readSheet();
        $checks = $sheet->checks;
        $fitted = array_filter(FirstPassDone::BEARS, static fn (string $of): bool => isset($checks[$of]));
        $read = Cell::query()->where('planter_id', $planter->id)->whereIn('check_key', $fitted)->orderBy('taken_at')->get()->groupBy(static fn (Cell $of): string => $of->check_key->value);
        $left = [];
        foreach ($fitted as $check) {
            $looked = ($read[$check] ?? new Collection)->mapWithKeys(static fn (Cell $of): array => [$of->row_number => Moment::of($of->taken_at->toIso8601ZuluString('millisecond'))])->all();
            if (! FirstPassDone::isLookedAtAgain($checks[$check]->isOfWholePlanter() ? [Place::WHOLE_PLANTER => $last] : array_filter($moved, static fn (int $row): bool => $sheet->at($row)->check($checks[$check]->key) !== null, ARRAY_FILTER_USE_KEY), $looked)) {
                $left[] = $check;
            }
        }

        return $left === [] ? [] : [['key' => 'again', 'said' => __('open_item.again', ['checks' => implode(', ', array_map(static fn (string $of): string => mb_strtolower((string) __("check.{$of}")), $left))])]];
    }

    /** @return list<array{key: string, said: string}> checks of the whole planter that are to be changed or were answered with no, and rows that must not run */
    private static function unsound(Planter $planter): array
    {
        $walk = $planter->walkThatMatters();
        $cells = $walk === null ? [] : Cell::query()->where('walk_id', $walk->id)->whereIn('verdict', [Verdict::Change, Verdict::Failed])->orderBy('row_number')->get();
        $open = [];
        foreach ($cells as $cell) {
            if ($cell->row_number === Place::WHOLE_PLANTER || $cell->verdict === Verdict::Failed) {
                $check = CheckKey::from($cell->place()->check->value);
                $open[] = ['key' => "check:{$cell->place()->key()}", 'said' => __($cell->row_number === 0 ? 'open_item.check' : 'open_item.failed', ['check' => __("check.{$check->value}"), 'row' => $cell->row_number, 'verdict' => __("verdict.{$cell->verdict->value}")])];
            }
        }

        return $open;
    }

    /** @return list<array{key: string, said: string}> alarms of this season that nobody has seen to */
    private static function alarms(Planter $planter): array
    {
        $runs = WatchRun::query()->where('planter_id', $planter->id)->where('made_at', '>=', now()->subYear())->get(['id', 'made_at'])
            ->filter(static fn (WatchRun $run): bool => $planter->seasonAt($run->made_at->toIso8601String()) === $planter->season());
        $alarms = WatchAlarm::query()->whereIn('watch_run_id', $runs->modelKeys())->whereDoesntHave('entries')->with('backs')->orderBy('at')->get()
            ->filter(static fn (WatchAlarm $of): bool => $of->open() !== []);

        return array_values($alarms->map(static fn (WatchAlarm $of): array => ['key' => "alarm:{$of->id}", 'said' => trans_choice('open_item.alarm', count($of->rows), ['rows' => implode(', ', $of->rows), 'watched' => __("watched.{$of->watched->value}")])])->all());
    }
}
