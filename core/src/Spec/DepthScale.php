<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** In what a row unit's depth is set. Worded under `depth_scale.<value>`. */
enum DepthScale: string
{
    /** A stop with notches: one more is deeper, by as much as the spec sheet says. */
    case Notches = 'notches';
    /** A slid shank or a bolt-on band, by the marks of its scale. */
    case Marks = 'marks';
    /** A screw, by turns from where it stood. */
    case Turns = 'turns';
    /** A scale in inches of depth. */
    case Inches = 'inches';
    /** A pin in one of several holes. */
    case Holes = 'holes';

    private const MILLIMETRES_PER_INCH = 25.4;

    /** What somebody calls its unit: `notches`, `in`, `hole`; null where that is none. */
    public static function told(string $unit): ?self
    {
        return match (rtrim(mb_strtolower(trim($unit)), '.')) {
            'notch', 'notches' => self::Notches,
            'mark', 'marks' => self::Marks,
            'turn', 'turns' => self::Turns,
            'in', '"', 'inch', 'inches' => self::Inches,
            'hole', 'holes' => self::Holes,
            default => null,
        };
    }

    /** What it is moved by at a time, in its own unit. */
    public function step(): float
    {
        return match ($this) {
            self::Notches, self::Marks => 0.5,
            self::Turns => 0.25,
            self::Inches => 0.125,
            self::Holes => 1.0,
        };
    }

    /** Whether a figure can be set on it: holes come whole, the rest to the hundredth, inches to the eighth or the tenth. */
    public function takes(float $figure): bool
    {
        $finest = match ($this) {
            self::Holes => 1.0,
            self::Inches => 0.025,
            default => 0.01,
        };

        return abs($figure / $finest - round($figure / $finest)) < 1e-6;
    }

    /**
     * Depth of one before any pass has told of it, millimetres; null where only digging tells.
     *
     * @param  float  $notch  depth of a notch by the sheet, millimetres
     */
    public function worth(float $notch): ?float
    {
        return match ($this) {
            self::Notches => $notch,
            self::Inches => self::MILLIMETRES_PER_INCH,
            default => null,
        };
    }
}
