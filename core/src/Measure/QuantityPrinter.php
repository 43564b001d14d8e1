<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Prints any quantity the way a technician says it: `14 3/8 in`, `18.5 in H2O`, `45 mbar`, `7`. */
final readonly class QuantityPrinter
{
    private LengthPrinter $lengths;

    public function __construct(private UnitSystem $system)
    {
        $this->lengths = new LengthPrinter($system);
    }

    /** The figure with its unit. */
    public function print(Quantity $quantity): string
    {
        return $quantity instanceof Length ? $this->lengths->print($quantity) : $this->amount($quantity->steps(), $quantity->unit());
    }

    /** How far two quantities of one unit lie apart. */
    public function difference(Quantity $one, Quantity $other): string
    {
        return $one instanceof Length && $other instanceof Length
            ? $this->lengths->difference($one->minus($other))
            : $this->amount(abs($one->steps() - $other->steps()), $one->unit());
    }

    private function amount(int $thousandths, Unit $unit): string
    {
        $spelling = $unit->spelling($this->system);
        $factor = $unit->spellings()[mb_strtolower($spelling)] ?? 1.0;
        // A bar is a large unit: two places; a screw and a scale of inches are set finer; the rest are read to a tenth at most.
        $places = match (true) {
            $unit === Unit::Turn, $unit === Unit::ScaleInch => 3,
            $spelling === 'bar' => 2,
            default => 1,
        };
        $figure = number_format($thousandths / Amount::STEPS_PER_UNIT / $factor, $places, '.', '');
        $figure = str_contains($figure, '.') ? rtrim(rtrim($figure, '0'), '.') : $figure;

        return match ($spelling) {
            '' => $figure,
            '°', '%' => $figure.$spelling,
            'hole' => "hole {$figure}",
            'turns' => $figure === '1' ? '1 turn' : "{$figure} turns",
            default => "{$figure} {$spelling}",
        };
    }
}
