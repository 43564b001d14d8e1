<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** How fast parts wear by what is said of the ground, each to ground like any other: the shop's own figures, or else typical ones. */
final readonly class GroundFactors
{
    /** @param  array<string, array<string, float>>  $own  by kind and case; each Ground::MILDEST to Ground::HARSHEST */
    public function __construct(private array $own = [])
    {
    }

    /** @return array{soil: list<Soil>, residue: list<Residue>, tillage: list<Tillage>, downforce: list<DownforceLevel>} what can be said of the ground, by kind */
    public static function kinds(): array
    {
        return ['soil' => Soil::cases(), 'residue' => Residue::cases(), 'tillage' => Tillage::cases(), 'downforce' => DownforceLevel::cases()];
    }

    /** 1 where nothing was said. */
    public function of(Soil|Residue|Tillage|DownforceLevel|null $case): float
    {
        return $case === null ? 1.0 : $this->own[self::kind($case)][$case->value] ?? $case->factor();
    }

    private static function kind(Soil|Residue|Tillage|DownforceLevel $case): string
    {
        return match (true) {
            $case instanceof Soil => 'soil',
            $case instanceof Residue => 'residue',
            $case instanceof Tillage => 'tillage',
            $case instanceof DownforceLevel => 'downforce',
        };
    }
}
