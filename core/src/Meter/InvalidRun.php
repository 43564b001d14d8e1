<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Ustrel\Core\CoreException;

final class InvalidRun extends CoreException
{
    public static function share(): self
    {
        return new self('A share is of one or more, and counts from none of them to all.');
    }

    public static function counts(): self
    {
        return new self('A run has 1 seed or more that should have dropped, and no more skips and doubles together than these.');
    }

    public static function shares(): self
    {
        return new self('Two shares that are told apart lie between 0 and 1 and are not the same.');
    }

    public static function fewDrops(): self
    {
        return new self('Spacings are told from 3 seeds on.');
    }

    public static function backwards(int $seed): self
    {
        return new self("Seed {$seed} dropped before the one ahead of it. Times go forward.");
    }

    public static function pace(): self
    {
        return new self('The time from one cell to the next is over 0 milliseconds.');
    }

    public static function cells(): self
    {
        return new self('A disc or plate has from 1 to 400 cells.');
    }

    public static function air(): self
    {
        return new self('Air is told in inches of water, from 0.5 to 60.');
    }

    public static function noRuns(): self
    {
        return new self('Advice on air needs one run at least, with the air that it was run at.');
    }

    public static function seedsPerPound(): self
    {
        return new self('Seeds per pound are from 10 to 500,000.');
    }

    public static function kinds(): self
    {
        return new self('A mixture has from 2 to 12 kinds of seed.');
    }

    public static function mixture(): self
    {
        return new self('The shares of a mixture are over 0, and together 100 %.');
    }

    public static function sizes(): self
    {
        return new self('A disc is meant for seed from one size to a larger one, both over 0 mm.');
    }

    public static function seeds(): self
    {
        return new self('A unit has 1 seed or more.');
    }

    public static function germination(): self
    {
        return new self('Germination is a share over 0, up to 1.');
    }

    public static function price(): self
    {
        return new self('A price is 0 or more.');
    }

    public static function boxes(): self
    {
        return new self('A bulk box holds more than 0 units.');
    }

    public static function spare(): self
    {
        return new self('Spare seed is a share from 0 to 1.');
    }
}
