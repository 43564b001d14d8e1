<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Rate\RateVerdict;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;

final readonly class DugRowView extends Schema
{
    public function __construct(
        public string $id,
        public int $row,
        /** Of each seed */
        public int $depths,
        public int $spacings,
        /** On average, in words */
        public ?string $depth,
        /** How much depths scatter, in words */
        public ?string $depth_sd,
        /** Millimetres deeper than wanted; shallower is under 0 */
        public ?float $off,
        /** It really plants otherwise than the others: true deeper, false shallower */
        public ?bool $differs,
        /** In what its depth is set */
        public DepthScale $scale,
        /** By how much of that its depth is to be moved, up the scale where positive; null where nothing tells it */
        public ?float $turn,
        /** Whether it plants deeper after that */
        public ?bool $deeper,
        /** Depth on the pass before, in words */
        public ?string $before,
        /** On average, in words */
        public ?string $spacing,
        /** By how much of their mean spacings scatter */
        public ?float $cv,
        /** Single spacings scatter by more than the shop calls good, by more than luck */
        public bool $uneven,
        /** Share of spacings, ISO 7256-1 */
        public ?float $missed,
        public ?float $multiple,
        public ?float $fed,
        /** In words, with how far it may be off */
        public ?string $population,
        /** @var array{verdict: RateVerdict, said: string}|null Its spacings against what is set, in words */
        public ?array $rate,
        /** Where on its scale it stands; null where nobody said */
        public ?float $stands,
        /** Where it is to stand; null where nobody said where it stands */
        public ?float $turn_to,
        /** Depth to expect after the turn, with its interval, in words */
        public ?string $expected,
        /** @var list<DigSign> */
        public array $seen,
        public string $spot,
        public ?Residue $residue,
        public string $note,
        public string $by,
    ) {
    }
}
