<?php

declare(strict_types=1);

namespace App\Parts;

use RuntimeException;
use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Parts\PartFitting;

/** Parts that do not go together were to be on one row together. */
final class BrokenFitRule extends RuntimeException
{
    private function __construct(
        /** The event that fitted the part which does not go with what is there. */
        public readonly string $event,
        string $message,
    ) {
        parent::__construct($message);
    }

    public static function by(PartFitting $fitting, FitRule $rule): self
    {
        return new self($fitting->id, __('ledger.fit_rule', ['row' => $fitting->place->row, 'rule' => __("fit.{$rule->value}")]));
    }
}
