<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

use Ustrel\Core\Spec\CheckKey;

/** How likely a cause is, and because of what. */
final readonly class Ranked
{
    /**
     * @param  float  $chance  0 to 1
     * @param  list<Symptom>  $because  seen, and more often with it than without
     * @param  list<CheckKey>  $record  of the row that speaks for it
     * @param  list<CheckKey>  $against  of the row that speaks against it
     */
    public function __construct(
        public Cause $cause,
        public float $chance,
        public array $because,
        public array $record,
        public array $against,
    ) {
    }
}
