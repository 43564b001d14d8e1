<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

/**
 * How far a standardised CUSUM may go before it is an alarm, for a wanted number of blocks to a false one: found by letting it run over
 * rows on which nothing is wrong (core/field/drift.php), for blocks that hang together as much as these do.
 */
final class DriftThresholds
{
    private static ?self $typical = null;

    /** @param  array<int, list<array{ratio: float, from: float, per_log: float}>>  $lines  by hundredths of the allowance, from the least ratio up */
    private function __construct(private readonly array $lines)
    {
    }

    /** As they ship. */
    public static function typical(): self
    {
        if (self::$typical === null) {
            /** @var array{thresholds: list<array{allowance: float, ratio: float, from: float, per_log: float}>} $told */
            $told = json_decode((string) file_get_contents(__DIR__.'/../../../../field/drift.json'), true, flags: JSON_THROW_ON_ERROR);
            $lines = [];
            foreach ($told['thresholds'] as $line) {
                $lines[(int) round(100 * $line['allowance'])][] = ['ratio' => $line['ratio'], 'from' => $line['from'], 'per_log' => $line['per_log']];
            }
            self::$typical = new self($lines);
        }

        return self::$typical;
    }

    /** The nearest allowance that there are thresholds for: half of the change that is sought, in units of the scatter. */
    public function allowance(float $wanted): float
    {
        $has = array_map(static fn (int $hundredths): float => $hundredths / 100, array_keys($this->lines));
        usort($has, static fn (float $a, float $b): int => abs(log($a / $wanted)) <=> abs(log($b / $wanted)));

        return $has[0];
    }

    /**
     * @param  float  $allowance  one of those
     * @param  float  $ratio  variance of the sum of a minute's blocks to that of as many that do not hang together
     */
    public function of(float $allowance, float $ratio): DriftThreshold
    {
        $lines = $this->lines[(int) round(100 * $allowance)];
        $at = 1;
        while ($at < count($lines) - 1 && $lines[$at]['ratio'] < $ratio) {
            $at++;
        }
        [$under, $over] = [$lines[$at - 1], $lines[$at]];
        $share = min(1.0, max(0.0, ($ratio - $under['ratio']) / ($over['ratio'] - $under['ratio'])));

        return new DriftThreshold((1 - $share) * $under['from'] + $share * $over['from'], (1 - $share) * $under['per_log'] + $share * $over['per_log']);
    }
}
