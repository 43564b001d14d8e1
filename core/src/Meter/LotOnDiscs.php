<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A seed lot held against the disc that is in each meter which will plant it: only that very disc counts, whatever else is on the shelf. */
final readonly class LotOnDiscs
{
    /**
     * @param  array<int, 'too_small'|'too_large'>  $misfits  the seed by the side of the disc, by row
     * @param  list<int>  $unset  rows of which nobody said which disc is in
     * @param  list<string>  $fitting  discs of the shop that take the seed
     * @param  bool  $isKnown  the sizes tell: of the seed, and of every disc that is in
     */
    private function __construct(
        public array $misfits,
        public array $unset,
        public array $fitting,
        public bool $isKnown,
    ) {
    }

    /**
     * @param  float|null  $size  of the seed, millimetres; null where nobody knows
     * @param  array<int, string|null>  $set  the disc in each row's meter, by name; null where nobody said
     * @param  array<string, SeedDisc>  $discs  of the shop, by name
     */
    public static function of(?float $size, array $set, array $discs): self
    {
        $fitting = array_keys(array_filter($discs, static fn (SeedDisc $disc): bool => $disc->takes($size) === 'fits'));
        $misfits = $unset = [];
        $isKnown = $size !== null;
        foreach ($set as $row => $name) {
            $takes = $name === null ? null : ($discs[$name] ?? null)?->takes($size);
            if ($name === null) {
                $unset[] = $row;
            } elseif ($takes === null) {
                $isKnown = false;
            } elseif ($takes !== 'fits') {
                $misfits[$row] = $takes;
            }
        }

        return new self($misfits, $unset, array_map(strval(...), $fitting), $isKnown);
    }

    /** True where every meter's own disc is meant for the seed, false where one is not, null where nothing tells. */
    public function fits(): ?bool
    {
        return match (true) {
            $this->misfits !== [] => false,
            ! $this->isKnown || $this->unset !== [] => null,
            default => true,
        };
    }
}
