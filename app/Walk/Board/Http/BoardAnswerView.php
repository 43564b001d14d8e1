<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use App\Walk\Board\StoredAnswer;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;

final readonly class BoardAnswerView extends Schema
{
    public function __construct(
        /** In the check's unit; missing where no figure was read */
        #[OmittedWhenNull] public ?float $value,
        #[OmittedWhenNull] public ?State $state,
        /** @var list<Chip>|null Missing where none */
        #[OmittedWhenNull] public ?array $chips,
    ) {
    }

    public static function of(StoredAnswer $stored): self
    {
        return new self($stored->figure(), $stored->state(), $stored->chips() ?: null);
    }
}
