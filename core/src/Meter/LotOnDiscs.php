<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** A seed lot held against the disc that is in each meter which will plant it: only that very disc counts, whatever else is on the shelf. */
final readonly class LotOnDiscs
{
    /**
     * @param  array<int, 'too_small'|'too_large'|'not_meant'>  $misfits  the seed by the side of the disc, by row; not by an estimate
     * @param  list<int>  $unset  rows of which nobody said which disc is in
     * @param  list<string>  $fitting  discs of the shop that take the seed, not by an estimate
     * @param  list<string>  $likely  discs that take it by an estimate
     * @param  array<int, 'fits'|'too_small'|'too_large'>  $estimated  what an estimate says, by row
     * @param  list<int>  $contradicting  rows where measured and meant, or meant and estimated, say the opposite
     * @param  bool  $isKnown  measured sizes or classes tell, of every disc that is in
     */
    private function __construct(
        public array $misfits,
        public array $unset,
        public array $fitting,
        public array $likely,
        public array $estimated,
        public array $contradicting,
        public bool $isKnown,
    ) {
    }

    /**
     * @param  array<int, string|null>  $set  the disc in each row's meter, by name; null where nobody said
     * @param  array<string, SeedDisc>  $discs  of the shop, by name
     */
    public static function of(TagSeed $seed, array $set, array $discs): self
    {
        $fits = array_map(static fn (SeedDisc $disc): SeedFit => $disc->fit($seed), $discs);
        $fitting = array_filter($fits, static fn (SeedFit $fit): bool => $fit->takes === 'fits');
        $misfits = $unset = $estimated = $contradicting = [];
        $isKnown = true;
        foreach ($set as $row => $name) {
            $fit = $name === null ? null : $fits[$name] ?? new SeedFit(null);
            if ($fit === null) {
                $unset[] = $row;

                continue;
            }
            $isKnown = $isKnown && $fit->isSure();
            if ($fit->contradicts) {
                $contradicting[] = $row;
            }
            if ($fit->by === 'estimated' && $fit->takes !== null && $fit->takes !== 'not_meant') {
                $estimated[$row] = $fit->takes;
            } elseif ($fit->takes !== null && $fit->takes !== 'fits') {
                $misfits[$row] = $fit->takes;
            }
        }
        $names = static fn (array $of): array => array_map(strval(...), array_keys($of));

        return new self(
            $misfits, $unset,
            $names(array_filter($fitting, static fn (SeedFit $fit): bool => $fit->by !== 'estimated')),
            $names(array_filter($fitting, static fn (SeedFit $fit): bool => $fit->by === 'estimated')),
            $estimated, $contradicting, $isKnown,
        );
    }

    /** True where every meter's own disc takes the seed, false where one does not, null where nothing tells, or only an estimate. */
    public function fits(): ?bool
    {
        return match (true) {
            $this->misfits !== [] => false,
            ! $this->isKnown || $this->unset !== [] => null,
            default => true,
        };
    }
}
