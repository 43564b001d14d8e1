<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** One question, how many seeds an acre, answered by gearing, by weighing, by digging and by the monitor's count: domain, 13. */
final readonly class FourAnswers
{
    /** Answers farther apart than this share name suspects. */
    public const APART = 0.05;

    /** @var array<'gearing'|'weighing'|'digging'|'monitor', Measured> those that are there */
    public array $answers;

    /**
     * @param  array<'gearing'|'weighing'|'digging'|'monitor', Measured|null>  $answers  seeds an acre, over 0; null where there is none
     *
     * @throws InvalidFigure with fewer than two
     */
    public function __construct(array $answers)
    {
        $this->answers = array_filter($answers);
        if (count($this->answers) < 2) {
            throw InvalidFigure::of('gearing', 'two_answers');
        }
    }

    /** @return Measured the middle of them */
    public function middle(): Measured
    {
        $sorted = array_values($this->answers);
        usort($sorted, static fn (Measured $one, Measured $other): int => $one->value <=> $other->value);
        $half = intdiv(count($sorted), 2);

        return count($sorted) % 2 === 1 ? $sorted[$half] : Measured::of(($sorted[$half - 1]->value + $sorted[$half]->value) / 2, hypot($sorted[$half - 1]->sd, $sorted[$half]->sd) / 2);
    }

    /** Whether two of them are apart, by the share that counts and by more than their uncertainties. */
    public function apart(string $one, string $other): bool
    {
        [$a, $b] = [$this->answers[$one] ?? null, $this->answers[$other] ?? null];
        if ($a === null || $b === null) {
            return false;
        }
        $differ = abs($a->value - $b->value);

        return $differ > self::APART * ($a->value + $b->value) / 2 && $differ > 2 * hypot($a->sd, $b->sd);
    }

    /** What each cause moves: slip moves the monitor too where that counts the ground by the same wheel. */
    private const MOVES = [
        'slip_or_skips' => [['gearing'], ['gearing', 'monitor']],
        'gearing' => [['gearing'], ['gearing', 'monitor']],
        'sensor' => [['monitor']],
        'seeds_per_pound' => [['weighing']],
        'dig_short' => [['digging']],
    ];

    /** A cause that leaves more of the misfit than this explains hardly anything. */
    private const HARDLY = 0.9;

    /** An answer is not known better than to this share. */
    private const LEAST_SD = 0.02;

    /**
     * The causes by how well each explains all answers together: what it moves may lie where it likes, the rest has to agree; of those
     * that explain them alike the one that moves fewer. Where none explains them all, those that explain most.
     *
     * @return list<'seeds_per_pound'|'sensor'|'slip_or_skips'|'gearing'|'dig_short'|'cannot_tell'> the likeliest first; none where all agree. Worded under `suspect.<code>`
     */
    public function suspects(): array
    {
        $names = array_keys($this->answers);
        if (! $this->differ($names)) {
            return [];
        }
        if (count($names) === 2) {
            // Each could be the wrong one: the pair tells which usually is.
            return [match (true) {
                in_array('monitor', $names, true) => 'sensor',
                in_array('weighing', $names, true) => 'seeds_per_pound',
                default => 'slip_or_skips',
            }];
        }
        $explaining = $partly = [];
        $all = $this->misfit($names);
        foreach (self::MOVES as $cause => $sets) {
            foreach ($sets as $moved) {
                $rest = array_diff($names, $moved);
                if (array_diff($moved, $names) !== [] || $rest === [] || ! $this->canMove($cause, $moved, $rest)) {
                    continue;
                }
                $misfit = $this->misfit($rest) + $this->misfit($moved) + count($moved);
                if (! $this->differ($rest) && ! $this->differ($moved)) {
                    $explaining[$cause] = min($explaining[$cause] ?? INF, $misfit);
                } elseif ($misfit < self::HARDLY * $all) {
                    $partly[$cause] = min($partly[$cause] ?? INF, $misfit);
                }
            }
        }
        $found = $explaining ?: $partly;
        asort($found);
        $suspects = array_keys($found);
        if (($suspects[0] ?? null) === 'slip_or_skips' && isset($this->answers['monitor']) && ! $this->apart('gearing', 'monitor')) {
            // A monitor that agrees with a gearing that slips is next.
            $suspects = array_values(array_unique(['slip_or_skips', 'sensor', ...$suspects]));
        }

        return $suspects ?: ['cannot_tell'];
    }

    /**
     * Slip and skips put fewer seeds into the ground than the gearing says, never more; wrong teeth, cells or circumference more, where it is
     * not slip.
     *
     * @param  array<string>  $moved
     * @param  array<string>  $rest
     */
    private function canMove(string $cause, array $moved, array $rest): bool
    {
        $isMore = $this->mean($moved) > $this->mean($rest);

        return $cause === 'slip_or_skips' ? $isMore : ($cause !== 'gearing' || ! $isMore);
    }

    /** @param  array<string>  $names */
    private function differ(array $names): bool
    {
        foreach ($names as $one) {
            foreach ($names as $other) {
                if ($this->apart($one, $other)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * How far answers lie about their weighted mean: chi-squared.
     *
     * @param  array<string>  $names
     */
    private function misfit(array $names): float
    {
        $mean = $this->mean($names);

        return array_sum(array_map(fn (string $name): float => (($this->answers[$name]->value - $mean) / $this->sd($name)) ** 2, $names));
    }

    /** @param  array<string>  $names */
    private function mean(array $names): float
    {
        $sum = $weights = 0.0;
        foreach ($names as $name) {
            $weight = 1 / $this->sd($name) ** 2;
            $weights += $weight;
            $sum += $weight * $this->answers[$name]->value;
        }

        return $weights > 0 ? $sum / $weights : 0.0;
    }

    private function sd(string $name): float
    {
        return max($this->answers[$name]->sd, self::LEAST_SD * $this->answers[$name]->value);
    }
}
