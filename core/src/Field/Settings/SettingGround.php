<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

/** Where a setting was made, as far as it was said: domain, 11. */
final readonly class SettingGround
{
    /** What another crop counts for. */
    private const CROP = 3.0;

    /** A step of soil, from heavy to light; among stones is as far from any. */
    private const SOIL = 2.0;

    private const RESIDUE = 1.5;

    /** What nobody said is half as far as what is otherwise. */
    private const UNSAID = 0.5;

    /** Soils from heavy to light. */
    private const SOILS = [Soil::Clay, Soil::Silt, Soil::Loam, Soil::Sand];

    private const RESIDUES = [Residue::Bare, Residue::Usual, Residue::Heavy];

    public string $field;

    public string $crop;

    public function __construct(string $field = '', string $crop = '', public ?Soil $soil = null, public ?Residue $residue = null)
    {
        $this->field = self::plain($field);
        $this->crop = self::plain($crop);
    }

    /** Whether nothing was said of it. */
    public function isUnsaid(): bool
    {
        return $this->field === '' && $this->crop === '' && $this->soil === null && $this->residue === null;
    }

    /**
     * How far another ground is from this one: 0 where all that counts is the same. The same field with the same crop is no nearer than its soil.
     *
     * @param  bool  $bySoil  false for what goes by crop and seed alone
     */
    public function distance(self $other, bool $bySoil = true): float
    {
        $far = match (true) {
            $this->crop === $other->crop => 0.0,
            $this->crop === '' || $other->crop === '' => self::UNSAID * self::CROP,
            default => self::CROP,
        };
        // Its soil is the field's own, also where it was not written down.
        $isSameField = $this->field !== '' && $this->field === $other->field;
        if (! $bySoil) {
            return $far - ($isSameField ? 0.1 : 0.0);
        }
        $far += $isSameField && ($this->soil === null || $other->soil === null) ? 0.0 : self::SOIL * self::steps(self::SOILS, $this->soil, $other->soil);

        return $far + self::RESIDUE * self::steps(self::RESIDUES, $this->residue, $other->residue) - ($isSameField ? 0.1 : 0.0);
    }

    /**
     * @template TCase of Soil|Residue
     *
     * @param  list<TCase>  $order
     * @param  TCase|null  $one
     * @param  TCase|null  $other
     */
    private static function steps(array $order, Soil|Residue|null $one, Soil|Residue|null $other): float
    {
        if ($one === $other) {
            return 0.0;
        }
        if ($one === null || $other === null) {
            return self::UNSAID;
        }
        [$a, $b] = [array_search($one, $order, true), array_search($other, $order, true)];

        return $a === false || $b === false ? 2.0 : (float) abs($a - $b);
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $text)));
    }
}
