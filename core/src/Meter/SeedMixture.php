<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** Several kinds of seed in one bag, as a cover crop is sold: shares by weight. */
final readonly class SeedMixture
{
    public const MOST = 12;

    /** Shares that were rounded on the tag add up to a whole within this. */
    private const ROUNDED = 0.01;

    /** @param  non-empty-list<array{seed: TagSeed, share: float}>  $kinds */
    private function __construct(private array $kinds)
    {
    }

    /**
     * @param  list<array{crop: string, share: float, seeds_per_pound: float}>  $kinds  2 to 12; shares by weight, over 0, together 1
     *
     * @throws InvalidRun
     */
    public static function of(array $kinds): self
    {
        count($kinds) >= 2 && count($kinds) <= self::MOST || throw InvalidRun::kinds();
        $shares = array_column($kinds, 'share');
        min($shares) > 0 && abs(array_sum($shares) - 1) <= self::ROUNDED || throw InvalidRun::mixture();

        return new self(array_map(static fn (array $kind): array => ['seed' => new TagSeed(null, $kind['crop'], '', $kind['seeds_per_pound']), 'share' => $kind['share'] / array_sum($shares)], $kinds));
    }

    /** Each pound has of each kind as many seeds as its share of a pound has. */
    public function seedsPerPound(): float
    {
        return array_sum(array_map(static fn (array $kind): float => $kind['share'] * (float) $kind['seed']->seedsPerPound, $this->kinds));
    }

    /** @return array{crop: string, count: float, least: int, most: int}|null the first kind whose count cannot be: TagSeed::cannotBe */
    public function cannotBe(): ?array
    {
        return array_values(array_filter(array_map(static fn (array $kind): ?array => $kind['seed']->cannotBe(), $this->kinds)))[0] ?? null;
    }

    /** @return array{float, float}|null millimeters from the smallest kind to the largest; null where one of them cannot be told */
    public function estimate(): ?array
    {
        $all = [];
        foreach ($this->kinds as $kind) {
            $estimate = $kind['seed']->estimate();
            if ($estimate === null) {
                return null;
            }
            array_push($all, ...$estimate);
        }

        return [min($all), max($all)];
    }

    /**
     * @param  float  $seeds  an acre, of all kinds
     * @return list<float> of each kind, in their order
     */
    public function each(float $seeds): array
    {
        return array_map(fn (array $kind): float => $seeds * $kind['share'] * (float) $kind['seed']->seedsPerPound / $this->seedsPerPound(), $this->kinds);
    }
}
