<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

use Ustrel\Core\Field\Watch\Watched;

/** Streams of a kind (those of rows, of groups, of all rows together): how much they scatter, and how high their sums climb by chance. */
final readonly class StreamKind
{
    /** Alarms wait until a stream has been seen for so many blocks. */
    private const FEWEST = 6;

    private function __construct(public RowScatter $scatter, private Peaks $peaks)
    {
    }

    /**
     * @param  list<list<float|int>|null>  $learned  as learned() gave it, of scatter and of peaks
     * @param  float  $scatter  that is believed as long as nothing was learned
     */
    public static function begin(array $learned, float $scatter): self
    {
        [$spread, $peaks] = $learned;

        return new self($spread === null ? RowScatter::believed($scatter) : RowScatter::of($spread), $peaks === null ? Peaks::believed() : Peaks::of($peaks));
    }

    /** Of a block of one of them. */
    public function sd(?Stream $stream): float
    {
        return sqrt($stream === null ? $this->scatter->variance() : $stream->variance($this->scatter->variance()));
    }

    /**
     * Takes in how far a stream is off in this block, and tells whether it is over in a direction that means trouble.
     *
     * @param  float  $z  in units of its scatter
     * @param  float  $sd  of a block of the stream, as the thing is scaled
     * @param  float  $blocks  to a false alarm of one stream
     */
    public function isOver(Watched $of, Stream $stream, float $z, float $sd, float $blocks): bool
    {
        $thresholds = DriftThresholds::typical();
        $allowance = $thresholds->allowance($of->worth() / (2 * max($sd, $of->worth() / 4)));
        $log = $this->peaks->ask(log($blocks));
        $threshold = $thresholds->of($allowance, $this->scatter->ratio());
        $wide = $stream->caution($log, $this->scatter->ratio()) ** 2 * $stream->newness($threshold->height($log), $allowance);
        $highest = 0.0;
        foreach ($of->troubles() as $direction) {
            $highest = max($highest, $stream->sum($z, $allowance, $threshold, $wide, $this->peaks, $direction));
        }

        return $highest > $log && $stream->count >= self::FEWEST;
    }

    /** @return array{list<float>, list<float>} of scatter and of peaks, for the next run */
    public function learned(): array
    {
        return [$this->scatter->carriedOver()->toList(), $this->peaks->carriedOver()->toList()];
    }
}
