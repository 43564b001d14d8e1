<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Schema;
use App\Walk\Board\StoredAnswer;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;

final readonly class AnswerView extends Schema
{
    public function __construct(
        /** In the check's unit; null where no figure was read */
        public ?float $value,
        public ?State $state,
        /** @var list<Chip> */
        public array $chips,
    ) {
    }

    public static function of(StoredAnswer $stored): self
    {
        return new self($stored->figure(), $stored->state(), $stored->chips());
    }
}
