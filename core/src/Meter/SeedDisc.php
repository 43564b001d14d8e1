<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A disc or plate of the shop's, and the seed that it is meant for. */
final readonly class SeedDisc
{
    /**
     * @param  int  $cells  1 to 400
     * @param  float|null  $from  smallest seed that it takes, millimetres; null where nobody said
     * @param  float|null  $to  largest
     * @param  string  $crop  that it is meant for; empty where nobody said
     * @param  string  $sizeClass  of the seed tag that it is meant for, the same
     *
     * @throws InvalidRun
     */
    public function __construct(
        public int $cells,
        public ?float $from,
        public ?float $to,
        public string $crop = '',
        public string $sizeClass = '',
    ) {
        $cells >= 1 && $cells <= 400 || throw InvalidRun::cells();
        ($from === null) === ($to === null) && ($from === null || $from > 0 && $from <= $to) || throw InvalidRun::sizes();
    }

    /** Domain, 24: an estimate fits only if all of it does, and misfits only if none of it can fit. */
    public function fit(TagSeed $seed): SeedFit
    {
        [$least, $most] = $seed->estimate() ?? [null, null];
        $measured = $this->takes($seed->size);
        $meant = match ($seed->isOfClass($this->crop, $this->sizeClass)) {
            true => 'fits', false => 'not_meant', null => null,
        };
        [$atLeast, $atMost] = [$this->takes($least), $this->takes($most)];
        $estimated = match (true) {
            $atLeast === $atMost => $atLeast,
            default => null,
        };
        $disagrees = static fn (?string $weaker, ?string $stronger): bool => $weaker !== null && $stronger !== null && ($weaker === 'fits') !== ($stronger === 'fits');

        return match (true) {
            $measured !== null => new SeedFit($measured, 'measured', $disagrees($meant, $measured)),
            $meant !== null => new SeedFit($meant, 'meant', $disagrees($estimated, $meant)),
            $estimated !== null => new SeedFit($estimated, 'estimated'),
            default => new SeedFit(null),
        };
    }

    /**
     * @param  float|null  $size  of the seed on average, millimetres
     * @return 'fits'|'too_small'|'too_large'|null the seed by the side of what the disc takes; null where one of them is not known
     */
    private function takes(?float $size): ?string
    {
        return match (true) {
            $size === null || $this->from === null || $this->to === null => null,
            $size < $this->from => 'too_small',
            $size > $this->to => 'too_large',
            default => 'fits',
        };
    }
}
