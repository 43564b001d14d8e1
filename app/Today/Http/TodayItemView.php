<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Http\Api\Schema;
use App\Today\TodayItem;
use App\Today\TodayKind;
use Ustrel\Core\Measure\Day;

final readonly class TodayItemView extends Schema
{
    public function __construct(
        public TodayKind $kind,
        /** What to do, in words */
        public string $title,
        /** What else to know, in words; empty where there is nothing */
        public string $detail,
        /** The last day for it */
        public ?Day $due,
        /** It should have been started before today */
        public bool $late,
    ) {
    }

    public static function of(TodayItem $of): self
    {
        return new self($of->kind, $of->title, $of->detail, $of->due, $of->isLate);
    }
}
