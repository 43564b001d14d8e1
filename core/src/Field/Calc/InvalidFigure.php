<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\CoreException;

/** A figure of a calculator that cannot be so. Worded under `calc_fault.<code>`. */
final class InvalidFigure extends CoreException
{
    private function __construct(
        /** The input that is meant. */
        public readonly string $input,
        public readonly string $fault,
        /** @var array<string, float|int> */
        public readonly array $with,
    ) {
        parent::__construct("{$input}: {$fault}");
    }

    /** Left out, or not from the least to the most that it can be. */
    public static function range(string $input, float $least, float $most): self
    {
        return new self($input, 'range', ['least' => $least, 'most' => $most]);
    }

    /** @param  array<string, float|int>  $with */
    public static function of(string $input, string $code, array $with = []): self
    {
        return new self($input, $code, $with);
    }
}
