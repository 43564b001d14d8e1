<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** Whether a disc takes a seed, and by what that is known. Measured goes before meant, and meant before estimated. */
final readonly class SeedFit
{
    /**
     * @param  'fits'|'too_small'|'too_large'|'not_meant'|null  $takes  the seed by the side of the disc; null where nothing tells
     * @param  'measured'|'meant'|'estimated'|null  $by
     * @param  bool  $contradicts  what is known less well says the opposite
     */
    public function __construct(public ?string $takes, public ?string $by = null, public bool $contradicts = false)
    {
    }

    /** Whether anything may be called done by it: not on an estimate, nor where two of them disagree. */
    public function isSure(): bool
    {
        return $this->by !== null && $this->by !== 'estimated' && ! $this->contradicts;
    }
}
