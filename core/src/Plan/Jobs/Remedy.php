<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Why;

/** What is done about a finding, and by which figure, before its parts and minutes are reckoned. */
final readonly class Remedy
{
    private function __construct(
        public Action $action,
        public Why $why,
        public ?Quantity $to = null,
        public ?Quantity $by = null,
    ) {
    }

    public static function change(Why $why, ?Quantity $to = null): self
    {
        return new self(Action::Change, $why, $to);
    }

    public static function adjust(Why $why, ?Quantity $to = null, ?Quantity $by = null): self
    {
        return new self(Action::Adjust, $why, $to, $by);
    }

    public static function of(Action $action, Why $why, ?Quantity $by = null): self
    {
        return new self($action, $why, null, $by);
    }
}
