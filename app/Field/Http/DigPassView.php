<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;

final readonly class DigPassView extends Schema
{
    public function __construct(
        public int $pass,
        public string $field,
        /** In words */
        public string $target,
        /** How alike depths of neighbouring seeds are, 0 to 1 */
        public float $alike,
        /** Null where no spacings were dug */
        public ?FoundRateView $rate,
        /** @var list<string> What the furrows say of the closing pressure, in words */
        public array $closing,
        /** @var list<string> What was set since the pass before, in words */
        public array $set_before,
        /** @var list<DugRowView> */
        public array $rows,
    ) {
    }
}
