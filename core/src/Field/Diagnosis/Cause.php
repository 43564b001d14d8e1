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
     */
    public function __construct(
        public string $key,
        public float $prior,
        public string $why,
        public array $checks,
        public float $minutes,
        public array $shows,
    ) {
    }
}
