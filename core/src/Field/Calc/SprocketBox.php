<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** The sprockets that a shop has, by their teeth; several of one size may be there. All pairs are tried. */
final readonly class SprocketBox
{
    public const LEAST = 5;

    public const MOST = 120;

    private const MOST_STAGES = 2;

    private const MOST_SIZES = 40;

    /** Populations that are nearer to each other than this share are the same. */
    private const SAME = 1e-9;

    /** @var array<int, int> how many there are, by teeth */
    private array $has;

    /**
     * @param  list<int>  $teeth  each sprocket by itself
     *
     * @throws InvalidFigure
     */
    public function __construct(array $teeth)
    {
        foreach ($teeth as $one) {
            if ($one < self::LEAST || $one > self::MOST) {
                throw InvalidFigure::of('box', 'teeth', ['teeth' => $one, 'least' => self::LEAST, 'most' => self::MOST]);
            }
        }
        $this->has = array_count_values($teeth);
        if (count($teeth) < 2 || count($this->has) > self::MOST_SIZES) {
            throw InvalidFigure::of('box', 'box', ['most' => self::MOST_SIZES]);
        }
    }

    /**
     * Sets by how near they come to a ratio, one for each ratio there is: of several with one ratio the one that is changed to with the fewest sprockets.
     *
     * @param  float  $ratio  driver over driven that is wanted, over 0
     * @param  int  $stages  pairs that can be changed, 1 or 2
     * @param  SprocketSet|null  $now  what is in; its sprockets are to be had besides those in the box
     * @return list<SprocketSet> the nearest first
     *
     * @throws InvalidFigure where the box has too few for so many stages
     */
    public function nearest(float $ratio, int $stages, ?SprocketSet $now = null): array
    {
        if ($stages < 1 || $stages > self::MOST_STAGES) {
            throw InvalidFigure::range('stages', 1, self::MOST_STAGES);
        }
        $has = $this->has;
        foreach ($now->stages ?? [] as $stage) {
            foreach ($stage as $teeth) {
                $has[$teeth] ??= 0;
                $has[$teeth] += isset($this->has[$teeth]) ? 0 : 1;
            }
        }
        if (array_sum($has) < 2 * $stages) {
            throw InvalidFigure::of('box', 'few', ['needed' => 2 * $stages]);
        }
        /** @var array<string, array{SprocketSet, int}> $best by ratio, with the changes that it takes */
        $best = [];
        foreach (self::sets($has, $stages) as $set) {
            $key = sprintf('%.10e', $set->ratio());
            $changes = $now === null ? 0 : count($set->changesFrom($now));
            if (! isset($best[$key]) || $changes < $best[$key][1]) {
                $best[$key] = [$set, $changes];
            }
        }
        $sets = array_column(array_values($best), 0);
        // Nearness is told by the share that it is off; where two are off alike, the one that plants more.
        $off = static fn (SprocketSet $set): float => abs($set->ratio() / $ratio - 1);
        usort($sets, static fn (SprocketSet $one, SprocketSet $other): int => abs($off($one) - $off($other)) > self::SAME ? $off($one) <=> $off($other) : $other->ratio() <=> $one->ratio());

        return $sets;
    }

    /**
     * @param  array<int, int>  $has
     * @return iterable<SprocketSet>
     */
    private static function sets(array $has, int $stages): iterable
    {
        foreach (self::pairs($has) as [$pair, $left]) {
            if ($stages === 1) {
                yield new SprocketSet([$pair]);

                continue;
            }
            foreach (self::pairs($left) as [$second]) {
                yield new SprocketSet([$pair, $second]);
            }
        }
    }

    /**
     * @param  array<int, int>  $has
     * @return iterable<array{array{int, int}, array<int, int>}> a pair, and what is left without it
     */
    private static function pairs(array $has): iterable
    {
        foreach (array_keys(array_filter($has)) as $driver) {
            $without = $has;
            $without[$driver]--;
            foreach (array_keys(array_filter($without)) as $driven) {
                $left = $without;
                $left[$driven]--;
                yield [[$driver, $driven], $left];
            }
        }
    }
}
