<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

/** What a row can have, the likeliest first, what to look at first, and what the two likeliest cannot be told apart without. */
final readonly class Diagnosis
{
    /**
     * @param  list<Ranked>  $ranked  none without a symptom
     * @param  Cause|null  $first  to look at: it tells most for a minute; null where no look tells enough
     * @param  Cause|null  $apart  of the two likeliest, the one to look at; null where they are far apart, or looking tells nothing
     */
    public function __construct(
        public array $ranked,
        public ?Cause $first,
        public ?Cause $apart,
    ) {
    }
}
