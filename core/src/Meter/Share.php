<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A share that was counted, with its interval by Wilson (Journal of the American Statistical Association 22, 1927): it holds at 0 and at few seeds too. */
final readonly class Share
{
    /** Of 95 %. */
    private const Z = 1.959963984540054;

    private function __construct(
        /** 0 to 1. */
        public float $share,
        public float $low,
        public float $high,
    ) {
    }

    /**
     * @param  int  $count  0 to all
     * @param  int  $all  1 or more
     *
     * @throws InvalidRun
     */
    public static function of(int $count, int $all): self
    {
        if ($all < 1 || $count < 0 || $count > $all) {
            throw InvalidRun::share();
        }
        $share = $count / $all;
        $square = self::Z ** 2;
        $middle = ($share + $square / (2 * $all)) / (1 + $square / $all);
        $half = self::Z / (1 + $square / $all) * sqrt($share * (1 - $share) / $all + $square / (4 * $all ** 2));

        return new self($share, $count === 0 ? 0.0 : max(0.0, $middle - $half), $count === $all ? 1.0 : min(1.0, $middle + $half));
    }
}
