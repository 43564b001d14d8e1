<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;
use App\Models\SpecSheet;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;

final readonly class SpecSheetView extends Schema
{
    public function __construct(
        public int $id,
        /** Of what its form changes */
        public string $version,
        public string $name,
        public RowUnitType $type,
        /** The workshop's own, to be edited */
        public bool $own,
        public FigureView $notch,
        /** The side whose blade is bolted on with a left-hand thread */
        public ?Side $left_hand_thread,
        /** Of the blade bolts, as the manual writes it; empty: see the manual */
        public string $torque,
        /** @var array<string, string|bool|int|null> What such row units mostly are made of, by assembly */
        public array $typical_equipment,
        /** @var list<CheckView> */
        public array $checks,
    ) {
    }

    public static function of(SpecSheet $of): self
    {
        $sheet = $of->shown();

        return new self(
            $of->id, $of->version(), $of->name, $sheet->type, $of->workshop_id !== null, FigureView::of($sheet->notch), $sheet->threads->leftHand, $sheet->threads->torque,
            Equipment::typicalOf($sheet->type)->toArray(),
            array_map(static fn (Check $check): CheckView => CheckView::of($check), array_values($sheet->checks)),
        );
    }
}
