<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\Contradiction;

/** What a planter is made of: each assembly of the catalogue, with the kind that it has. What is not fitted is not asked, drawn, stocked or planned. */
final readonly class Equipment
{
    public MeterType $meter;

    public Drive $drive;

    public Downforce $downforce;

    public ClosingWheels $closingWheels;

    public DepthScale $depthScale;

    /** @param  array<string, string|bool|int|null>  $carried  the kind of every assembly, by its name */
    private function __construct(private array $carried)
    {
        $this->meter = MeterType::from((string) $carried['meter']);
        $this->drive = Drive::from((string) $carried['drive']);
        $this->downforce = Downforce::from((string) $carried['downforce']);
        $this->closingWheels = ClosingWheels::from((string) $carried['closing_wheels']);
        $this->depthScale = DepthScale::from((string) $carried['depth_scale']);
    }

    public static function typicalOf(RowUnitType $type): self
    {
        return self::of([], $type);
    }

    /**
     * @param  array<mixed>  $given  by name; what is missing or unknown is as typical for the type, and gives way to what is said
     */
    public static function of(array $given, RowUnitType $type): self
    {
        // The two were one once: who has openers on record has the liquid system, unless it says otherwise.
        $given += ($given['fertilizer'] ?? false) === true ? ['liquid' => true] : [];
        $catalogue = Catalogue::shipped();
        $carried = $open = [];
        foreach ($catalogue->assemblies as $name => $assembly) {
            $isSaid = array_key_exists($name, $given) && $assembly->has($given[$name]);
            $carried[$name] = $isSaid ? $given[$name] : $assembly->typicalOf($type);
            $open += $isSaid ? [] : [$name => $assembly->absent()];
        }
        /** @var array<string, string|bool|int|null> $carried */
        $equipment = new self($carried);
        foreach ($catalogue->contradictionsIn($equipment) as $contradiction) {
            foreach ($open as $name => $absent) {
                $without = $equipment->with([$name => $absent]);
                $equipment = $contradiction->isIn($equipment) && ! $contradiction->isIn($without) ? $without : $equipment;
            }
        }

        return $equipment;
    }

    /**
     * Row units of another type on the same planter: typical of it where nothing else is said.
     *
     * @param  array<mixed>  $given  by name, of what rows can differ in
     */
    public function asRowsOf(RowUnitType $type, array $given): self
    {
        return self::of($given + array_diff_key($this->carried, Catalogue::shipped()->ofRows()), $type);
    }

    /** @return array<string, string|bool|int|null> the kinds of what rows can differ in */
    public function ofRows(): array
    {
        return array_intersect_key($this->carried, Catalogue::shipped()->ofRows());
    }

    /** @param  array<string, string|bool|int|null>  $changed  kinds by the name of their assembly */
    public function with(array $changed): self
    {
        return new self(array_replace($this->carried, $changed));
    }

    /** The kind of an assembly that this has; null where there is no such assembly, or none of it. */
    public function kind(string $assembly): string|bool|int|null
    {
        return $this->carried[$assembly] ?? null;
    }

    /** Whether an assembly is there at all. */
    public function has(string $assembly): bool
    {
        return ! in_array($this->kind($assembly), [null, false, 'none'], true);
    }

    /** @return list<Contradiction> what of it does not go together */
    public function contradictions(): array
    {
        return Catalogue::shipped()->contradictionsIn($this);
    }

    /** @return array<string, string|bool|int|null> */
    public function toArray(): array
    {
        return $this->carried;
    }
}
