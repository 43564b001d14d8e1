<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Meter\Share;
use Ustrel\Core\Spec\Aims;

/** What a dig says is not as it should be, and what it has looked for and not found. */
final readonly class DigSymptoms
{
    /** Depths of one row that scatter by more than a quarter of an inch vary, millimetres. */
    private const VARIES = 6.35;

    /** So few depths or spacings say nothing of what is not there. */
    private const FEWEST = 5;

    /** More of the spacings than this, by more than luck, are missed or doubled. */
    private const SHARE = 0.02;

    private const SIGNS = [
        DigSign::W->value => Symptom::W, DigSign::Open->value => Symptom::Open, DigSign::Smeared->value => Symptom::Smeared, DigSign::DrySoil->value => Symptom::DrySoil,
        DigSign::Residue->value => Symptom::Residue, DigSign::OffCentre->value => Symptom::OffCentre, DigSign::RootsFlat->value => Symptom::RootsFlat,
    ];

    /**
     * @param  list<Symptom>  $seen
     * @param  list<Symptom>  $absent
     */
    private function __construct(
        public array $seen,
        public array $absent,
    ) {
    }

    /**
     * @param  list<DigSign>  $signs  none says nothing of the furrow
     * @param  bool|null  $isDeeper  than the others, or shallower; null where it is like them
     * @param  float|null  $every  spacing that is set, millimetres
     * @param  float  $evenness  scatter of single spacings that is still good, as a share of it
     */
    public static function of(DugRow $row, array $signs, ?bool $isDeeper, ?float $every, float $evenness = Aims::SPACING_CV): self
    {
        $is = [];
        if (count($row->depths) >= self::FEWEST) {
            $is[Symptom::Shallow->value] = $isDeeper === false;
            $is[Symptom::Deep->value] = $isDeeper === true;
            $is[Symptom::Varies->value] = ($row->depthSd() ?? 0.0) > self::VARIES;
        }
        foreach ($signs === [] ? [] : self::SIGNS as $sign => $symptom) {
            // Roots are seen weeks later.
            if ($symptom !== Symptom::RootsFlat || in_array(DigSign::RootsFlat, $signs, true)) {
                $is[$symptom->value] = in_array(DigSign::from($sign), $signs, true);
            }
        }
        $drops = $every === null || count($row->spacings) < self::FEWEST ? null : $row->drops($every);
        if ($drops !== null) {
            $count = count($row->spacings);
            $is[Symptom::Skips->value] = Share::of((int) round($drops->missIndex() * $count), $count)->low > self::SHARE;
            $is[Symptom::Doubles->value] = Share::of((int) round($drops->multipleIndex() * $count), $count)->low > self::SHARE;
            $is[Symptom::SpacingPoor->value] = ($drops->precision() ?? 0.0) > $evenness;
        }

        return new self(array_map(Symptom::from(...), array_keys($is, true, true)), array_map(Symptom::from(...), array_keys($is, false, true)));
    }
}
