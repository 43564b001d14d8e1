<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A disc or plate of the shop's, and the seed that it is meant for. */
final readonly class SeedDisc
{
    /**
     * @param  int  $cells  1 to 400
     * @param  float|null  $from  smallest seed that it is meant for, millimetres; null where nobody said
     * @param  float|null  $to  largest
     *
     * @throws InvalidRun
     */
    public function __construct(
        public int $cells,
        public ?float $from,
        public ?float $to,
    ) {
        $cells >= 1 && $cells <= 400 || throw InvalidRun::cells();
        ($from === null) === ($to === null) && ($from === null || $from > 0 && $from <= $to) || throw InvalidRun::sizes();
    }

    /**
     * @param  float|null  $size  of the seed on average, millimetres
     * @return 'fits'|'too_small'|'too_large'|null the seed by the side of what the disc is meant for; null where one of them is not known
     */
    public function takes(?float $size): ?string
    {
        return match (true) {
            $size === null || $this->from === null || $this->to === null => null,
            $size < $this->from => 'too_small',
            $size > $this->to => 'too_large',
            default => 'fits',
        };
    }
}
