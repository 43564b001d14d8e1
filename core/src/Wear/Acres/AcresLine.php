<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use Ustrel\Core\Field\Log\Populations;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Field\Log\UnreadableLog;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\UnreadableTime;

/**
 * Acres as one line, the way they are told: `62.5 ac, Long Field, popcorn, 5 mph, no-till`. Parts stand between commas
 * or semicolons in any order; the first name is the field, the second the crop. Besides: `lot P7`, `34,000 seeds`, `8 gal/ac starter`,
 * `section control off till the part comes`.
 */
final readonly class AcresLine
{
    private const MPH_PER_KMH = 1 / 1.609344;

    private const DOWNFORCES = ['light downforce' => DownforceLevel::Light, 'usual downforce' => DownforceLevel::Usual, 'heavy downforce' => DownforceLevel::Heavy];

    private const TILLAGES = ['worked' => Tillage::Worked, 'min till' => Tillage::MinTill, 'no till' => Tillage::NoTill];

    private function __construct(
        public float $acres,
        public string $field,
        public ?string $crop,
        public ?float $mph,
        /** Null where no day was said. */
        public ?Day $day,
        public Ground $ground,
        public ?string $lot,
        public ?Populations $populations,
        /** @var list<Product> */
        public array $products,
        /** What is made do with; null where nothing is. */
        public ?string $around,
        public ?string $until,
    ) {
    }

    /** @throws UnreadableAcresLine */
    public static function read(string $line): self
    {
        // A comma between two digits is a decimal one.
        $parts = preg_split('/[;\n]|,(?!\d)|(?<!\d),/', $line) ?: [];
        $acres = $mph = $day = $soil = $residue = $tillage = $downforce = $lot = $populations = $around = $until = null;
        $names = $products = [];
        foreach (array_filter(array_map(trim(...), $parts)) as $part) {
            $word = strtr(mb_strtolower($part), '-', ' ');
            if (($ofSoil = Soil::told($part)) !== null) {
                $soil = $ofSoil;
            } elseif (($ofResidue = Residue::told($part)) !== null) {
                $residue = $ofResidue;
            } elseif (isset(self::TILLAGES[$word])) {
                $tillage = self::TILLAGES[$word];
            } elseif (isset(self::DOWNFORCES[$word])) {
                $downforce = self::DOWNFORCES[$word];
            } elseif (preg_match('/^(\d+(?:[.,]\d+)?) ?(ac|acres?|ha|hectares?)\.?$/i', $part, $found) === 1) {
                $acres = $acres !== null ? throw UnreadableAcresLine::because('acres_twice', $part) : self::number($found[1]) * (str_starts_with(strtolower($found[2]), 'h') ? FurrowDistance::ACRES_PER_HECTARE : 1);
            } elseif (preg_match('/^(\d+(?:[.,]\d+)?) ?(mph|km\/?h)$/i', $part, $found) === 1) {
                $mph = self::number($found[1]) * (strtolower($found[2]) === 'mph' ? 1 : self::MPH_PER_KMH);
            } elseif (preg_match('/^\d{4}-\d\d-\d\d$/', $part) === 1) {
                $day = self::day($part);
            } elseif (preg_match('/^lot (.+)$/iu', $part, $found) === 1) {
                $lot = $found[1];
            } elseif (preg_match('#^[\d.,\s]+k? ?seeds?(?: ?/ ?(?:ac|acre|ha))?$#iu', $part) === 1) {
                $populations = $populations !== null ? throw UnreadableAcresLine::because('population_twice', $part) : self::populations($part);
            } elseif (($product = Product::read($part)) !== null) {
                $products[] = $product;
            } elseif (preg_match('/^(\S.*) (?:until|till) (\S.*)$/iu', $part, $found) === 1) {
                [$around, $until] = [$found[1], $found[2]];
            } elseif (preg_match('/^[\d.,]+$/', $part) === 1) {
                throw UnreadableAcresLine::because('bare_number', $part);
            } else {
                $names[] = $part;
            }
        }
        if ($acres === null) {
            throw UnreadableAcresLine::because('no_acres', $line);
        }
        if ($names === []) {
            throw UnreadableAcresLine::because('no_field', $line);
        }
        if (count($names) > 2) {
            throw UnreadableAcresLine::because('too_many_names', $names[2]);
        }

        return new self($acres, $names[0], $names[1] ?? null, $mph, $day, new Ground($soil, $residue, $tillage, downforce: $downforce), $lot, $populations, $products, $around, $until);
    }

    private static function populations(string $part): Populations
    {
        try {
            return Populations::read($part);
        } catch (UnreadableLog) {
            throw UnreadableAcresLine::because('no_population', $part);
        }
    }

    private static function day(string $part): Day
    {
        try {
            return Day::of($part);
        } catch (UnreadableTime) {
            throw UnreadableAcresLine::because('no_day', $part);
        }
    }

    private static function number(string $digits): float
    {
        return (float) strtr($digits, ',', '.');
    }
}
