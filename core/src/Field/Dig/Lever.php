<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Field\Settings\SettingKey;

/** What depth is put right with, and what it is thought to be worth until the planter's own passes tell: domain, 10. Worded under `lever.<value>`. */
enum Lever: string
{
    /** Of the depth: a notch, of which one more is deeper; a mark, turn, inch or hole where the unit has no notches. */
    case Notch = 'notch';
    case Pound = 'pound';
    case Psi = 'psi';
    case Closing = 'closing';
    case Speed = 'speed';

    /** A lever of which the sheet says nothing may work either way. */
    private const UNKNOWN = 6.35;

    /** What is turned of it at a time. */
    public function step(): float
    {
        return match ($this) {
            self::Notch, self::Speed => 0.5,
            self::Pound => 20.0,
            self::Psi => 5.0,
            self::Closing => 1.0,
        };
    }

    /** What is moved of it in what its worth is told for. */
    public function unit(): float
    {
        return match ($this) {
            self::Pound => 100.0,
            self::Psi => 20.0,
            default => 1.0,
        };
    }

    /**
     * Depth by which rows plant deeper for each notch, pound, psi, step or mile an hour, before anything was learned.
     *
     * @param  float|null  $notch  depth of one by the sheet or the scale, millimetres; null where only digging tells
     * @return array{float, float} millimetres, and one standard deviation
     */
    public function start(?float $notch): array
    {
        return $this === self::Notch && $notch !== null ? [$notch, $notch / 2] : [0.0, self::UNKNOWN / $this->unit()];
    }

    /** Minutes that it takes on each row that is turned; 0 where one hand in the cab does it for all. */
    public function minutes(): float
    {
        return match ($this) {
            self::Notch => 2.0,
            self::Closing => 1.0,
            default => 0.0,
        };
    }

    /**
     * What a setting says of a lever: a figure, or the first one in its words: `180 lb`, `20 psi`, `step 3`.
     *
     * @return array{self, float}|null
     */
    public static function told(SettingKey $key, string $value, ?float $figure): ?array
    {
        $figure ??= preg_match('/\d+(?:\.\d+)?/', $value, $found) === 1 ? (float) $found[0] : null;
        $lever = match ($key) {
            SettingKey::DepthMark => self::Notch,
            SettingKey::Closing => self::Closing,
            SettingKey::Speed => self::Speed,
            SettingKey::Downforce => match (true) {
                preg_match('/\bpsi\b/i', $value) === 1 => self::Psi,
                preg_match('/\blbs?\b|\bpounds?\b/i', $value) === 1 => self::Pound,
                default => null,
            },
            default => null,
        };

        return $lever === null || $figure === null ? null : [$lever, $figure];
    }
}
