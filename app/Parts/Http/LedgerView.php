<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;

final readonly class LedgerView extends Schema
{
    public function __construct(
        /**
         * That rows of this planter have
         *
         * @var list<array{
         *     slot: Slot,
         *     station: Station, // Where hands go in to change it
         *     sides: list<Side>,
         *     rows: list<int>|null, // That have it so; null for all
         *     check: CheckKey, // That its part is looked at by
         *     measured: bool, // The part has a size that wears
         * }>
         */
        public array $slots,
        /** @var list<FittingView> What is fitted now */
        public array $fitted,
        /** @var list<FittingView> Parts that came off this planter before their end and are fitted nowhere, each as it was last */
        public array $shelf,
    ) {
    }
}
