<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Unit\Catalogue;

/** A row-unit type's numbers: which checks it has and by which figures they are judged. */
final readonly class Sheet
{
    /**
     * @param  array<string, Check>  $checks  by check key, in the order of the walk
     * @param  Figure  $notch  how far one notch of the depth stop moves the gauge wheels
     */
    public function __construct(
        public RowUnitType $type,
        public array $checks,
        public Figure $notch,
        public Threads $threads,
    ) {
    }

    public function check(CheckKey $key): ?Check
    {
        return $this->checks[$key->value] ?? null;
    }

    /**
     * With what these planters carry besides what it speaks of.
     *
     * @param  list<Equipment>  $carried
     */
    public function with(array $carried): self
    {
        $besides = array_merge(...array_map($this->besides(...), $carried));

        return $besides === [] ? $this : new self($this->type, SpecSheetReader::inOrder([...$this->checks, ...$besides]), $this->notch, $this->threads);
    }

    /** @return array<string, Check> what a planter carries and this does not speak of: checked by typical figures */
    private function besides(Equipment $carried): array
    {
        $besides = [];
        foreach (CheckKey::shipped() as $key) {
            if (! isset($this->checks[$key->value]) && Catalogue::shipped()->check($key)->isOn($carried)) {
                $besides[$key->value] = SpecSheetReader::typical($key);
            }
        }

        return $besides;
    }

    /** The checks that a planter with this equipment has, judged as its closing wheels want it. */
    public function for(Equipment $equipment): self
    {
        $fitted = array_filter(SpecSheetReader::inOrder([...$this->checks, ...$this->besides($equipment)]), static fn (Check $check): bool => $check->definition->isOn($equipment));

        return new self(
            $this->type,
            array_map(static fn (Check $check): Check => $check->on($equipment), $fitted),
            $this->notch,
            $this->threads,
        );
    }

    /**
     * Only the checks that are chosen.
     *
     * @param  list<string>  $keys
     */
    public function only(array $keys): self
    {
        return new self($this->type, array_intersect_key($this->checks, array_flip($keys)), $this->notch, $this->threads);
    }

    /** @return array<string, Check> what is checked on every row */
    public function ofRows(): array
    {
        return array_filter($this->checks, static fn (Check $check): bool => ! $check->isOfWholePlanter());
    }

    /** @return array<string, Check> what is checked once, on the planter as a whole */
    public function ofPlanter(): array
    {
        return array_filter($this->checks, static fn (Check $check): bool => $check->isOfWholePlanter());
    }

    /** How many readings one row takes. */
    public function placesPerRow(): int
    {
        return self::places($this->ofRows());
    }

    /** How many readings the whole-planter checks take. */
    public function placesOfPlanter(): int
    {
        return self::places($this->ofPlanter());
    }

    /** @param  array<string, Check>  $checks */
    private static function places(array $checks): int
    {
        return array_sum(array_map(static fn (Check $check): int => count($check->sides), $checks));
    }
}
