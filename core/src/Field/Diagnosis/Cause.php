<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

use Ustrel\Core\Spec\CheckKey;

/** Something that can be wrong with a row. Worded under `cause.<key>`. */
final readonly class Cause
{
    /**
     * @param  float  $prior  how often it is this, of rows that trouble; in any unit
     * @param  string  $why  a reason in a sentence
     * @param  list<CheckKey>  $checks  that have to do with it
     * @param  float  $minutes  that it takes to look
     * @param  array<string, float>  $shows  share of rows with it that show a symptom
     * @param  'low'|'high'|null  $end  that a figure of its checks is off at; null where either speaks for it
     */
    public function __construct(
        public string $key,
        public float $prior,
        public string $why,
        public array $checks,
        public float $minutes,
        public array $shows,
        public ?string $end = null,
    ) {
    }

    /**
     * What a row's record says of one of its checks: a figure that is off at the other end is sound for this cause.
     *
     * @param  array<string, Evidence>  $record  by check, and by check and end where a figure is off at one
     */
    public function evidence(CheckKey $check, array $record): ?Evidence
    {
        return ($this->end === null ? null : $record["{$check->value} {$this->end}"] ?? null) ?? $record[$check->value] ?? null;
    }
}
