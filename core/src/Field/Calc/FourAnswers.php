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

    /**
     * Who is to blame: one that is apart from two others or more, where nothing else is apart, is it alone; else each pair names its own.
     *
     * @return list<'seeds_per_pound'|'sensor'|'slip_or_skips'|'dig_short'|'cannot_tell'> the likeliest first; none where all agree. Worded under `suspect.<code>`
     */
    public function suspects(): array
    {
        $names = array_keys($this->answers);
        $pairs = [];
        foreach ($names as $at => $one) {
            foreach (array_slice($names, $at + 1) as $other) {
                if ($this->apart($one, $other)) {
                    $pairs[] = [$one, $other];
                }
            }
        }
        if ($pairs === []) {
            return [];
        }
        $alone = count($names) < 3 ? [] : array_values(array_filter($names, static fn (string $name): bool => count($pairs) > 1 && count(array_filter($pairs, static fn (array $pair): bool => in_array($name, $pair, true))) === count($pairs)));
        if ($alone !== []) {
            return [match ($alone[0]) {
                'weighing' => 'seeds_per_pound',
                'monitor' => 'sensor',
                'gearing' => 'slip_or_skips',
                default => 'dig_short',
            }];
        }
        $suspects = array_map(static fn (array $pair): string => match (true) {
            $pair === ['gearing', 'digging'] => 'slip_or_skips',
            in_array('monitor', $pair, true) => 'sensor',
            in_array('weighing', $pair, true) => 'seeds_per_pound',
            default => 'cannot_tell',
        }, $pairs);

        return array_values(array_unique($suspects));
    }
}
