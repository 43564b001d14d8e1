<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use Ustrel\Core\Field\Log\Populations;
use Ustrel\Core\Field\Log\Product;
use Ustrel\Core\Field\Log\UnreadableLog;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Measure\UnreadableTime;

/**
 * Acres as one line, the way they are told: `62.5 ac, Long Field, popcorn, 5 mph, no-till`. Parts stand between commas
 * or semicolons in any order; the first name is the field, the second the crop. Besides: `227 ac at 5 mph`, `crop teff`, `lot P7`,
 * `34,000 seeds`, `8 gal/ac starter`, `10-10-10 200 lb/ac`, `no liquid`, `products only`, `section control off till the part comes`.
 */
final readonly class AcresLine
{
    private const MPH_PER_KMH = 1 / 1.609344;

    private const MOST_ACRES = 10_000;

    private const FASTEST = 50;

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
        public PassKind $pass,
        /** @var list<string> products that were left out */
        public array $leftOut,
    ) {
    }

    /**
     * @param  NumberStyle|null  $style  of the workshop
     * @param  CropNames  $crops  that a name can be; anything else is asked about
     *
     * @throws UnreadableAcresLine
     */
    public static function read(string $line, ?NumberStyle $style = null, CropNames $crops = new CropNames): self
    {
        // A comma between two digits belongs to a number.
        $parts = preg_split('/[;\n]|,(?!\d)|(?<!\d),/', $line) ?: [];
        $acres = $mph = $day = $soil = $residue = $tillage = $downforce = $lot = $populations = $around = $until = $crop = null;
        $pass = PassKind::Planting;
        $names = $products = $leftOut = [];
        $number = '(\d[\d.,\' ]*)';
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
            } elseif (($ofPass = PassKind::told($part)) !== null) {
                $pass = $ofPass;
            } elseif (preg_match("/^{$number}(ac|acres?|ha|hectares?)\.?(?: (?:at )?{$number}(mph|km\/?h))?$/i", $part, $found) === 1) {
                $acres = $acres !== null ? throw UnreadableAcresLine::because('acres_twice', $part) : self::number($found[1], self::MOST_ACRES, $style) * (str_starts_with(strtolower($found[2]), 'h') ? FurrowDistance::ACRES_PER_HECTARE : 1);
                $mph = isset($found[4]) ? self::speed($found[3], $found[4], $style) : $mph;
            } elseif (preg_match("/^(?:at )?{$number}(mph|km\/?h)$/i", $part, $found) === 1) {
                $mph = self::speed($found[1], $found[2], $style);
            } elseif (preg_match('/^\d{4}-\d\d-\d\d$/', $part) === 1) {
                $day = self::day($part);
            } elseif (preg_match('/^lot (.+)$/iu', $part, $found) === 1) {
                $lot = $found[1];
            } elseif (preg_match('/^crop:? (.+)$/iu', $part, $found) === 1) {
                $crop = $found[1];
            } elseif (preg_match('#^[\d.,\s]+k? ?seeds?(?: ?/ ?(?:ac|acre|ha))?$#iu', $part) === 1) {
                $populations = $populations !== null ? throw UnreadableAcresLine::because('population_twice', $part) : self::populations($part, $style);
            } elseif (($product = self::product($part, $style)) !== null) {
                $products[] = $product;
            } elseif (preg_match('/^(\S.*) (?:until|till) (\S.*)$/iu', $part, $found) === 1) {
                [$around, $until] = [$found[1], $found[2]];
            } elseif (preg_match('/^(?:no|without|skipped|left out) (?<first>\S.*)$|^(?<last>\S.*) (?:skipped|left out)$/iu', $part, $found) === 1) {
                $leftOut[] = $found['last'] ?? $found['first'];
            } elseif (preg_match('/^[\d.,]+$/', $part) === 1) {
                throw UnreadableAcresLine::because('bare_number', $part);
            } else {
                $names[] = $part;
            }
        }
        if ($acres === null) {
            throw UnreadableAcresLine::because('no_acres', $line);
        }
        [$field, $crop] = self::names($names, $crop, $crops, $line);

        return new self($acres, $field, $crop, $mph, $day, new Ground($soil, $residue, $tillage, downforce: $downforce), $lot, $populations, $products, $around, $until, $pass, $leftOut);
    }

    /**
     * @param  list<string>  $names  that are nothing else
     * @return array{string, string|null} the field and the crop
     */
    private static function names(array $names, ?string $crop, CropNames $crops, string $line): array
    {
        [$first, $second] = [$names[0] ?? throw UnreadableAcresLine::because('no_field', $line), $names[1] ?? null];
        if (isset($names[2])) {
            throw UnreadableAcresLine::because('too_many_names', $names[2]);
        }

        return match (true) {
            $second === null => [$first, $crop],
            $crop !== null => throw UnreadableAcresLine::because('too_many_names', $second),
            $crops->has($second) => [$first, $second],
            $crops->has($first) => [$second, $first],
            default => throw UnreadableAcresLine::because('unknown_crop', $second),
        };
    }

    private static function speed(string $digits, string $unit, ?NumberStyle $style): float
    {
        return self::number($digits, self::FASTEST, $style) * (strtolower($unit) === 'mph' ? 1 : self::MPH_PER_KMH);
    }

    private static function product(string $part, ?NumberStyle $style): ?Product
    {
        try {
            return Product::read($part, $style);
        } catch (UnreadableLog $unreadable) {
            throw $unreadable->number === null ? UnreadableAcresLine::because($unreadable->fault, $part) : UnreadableAcresLine::number($unreadable->number);
        }
    }

    private static function populations(string $part, ?NumberStyle $style): Populations
    {
        try {
            return Populations::read($part, $style);
        } catch (UnreadableLog $unreadable) {
            throw $unreadable->number === null ? UnreadableAcresLine::because('no_population', $part) : UnreadableAcresLine::number($unreadable->number);
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

    private static function number(string $digits, float $most, ?NumberStyle $style): float
    {
        try {
            return (new NumberReader(lowest: 0, highest: $most, style: $style))->read($digits);
        } catch (UnreadableNumber $unreadable) {
            throw UnreadableAcresLine::number($unreadable);
        }
    }
}
