<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\ChangeWhen;
use Ustrel\Core\Plan\Policy\Scope;

final readonly class SlotRuleView extends Schema
{
    public function __construct(
        public ChangeWhen $when,
        /** Of the allowance gone, over 0 to 1 */
        #[OmittedWhenNull] public ?float $share,
        #[OmittedWhenNull] public ?Scope $scope,
        /** @var list<Slot>|null Slots that are changed along with it */
        #[OmittedWhenNull] public ?array $with,
        /** @var int<1, 2>|null A season */
        #[OmittedWhenNull] public ?int $looks,
    ) {
    }

    /** @param  array<string, mixed>  $kept  as core writes it out */
    public static function of(array $kept): self
    {
        return new self(
            ChangeWhen::from($kept['when']), $kept['share'] ?? null, isset($kept['scope']) ? Scope::from($kept['scope']) : null,
            isset($kept['with']) ? array_map(Slot::from(...), array_values($kept['with'])) : null, $kept['looks'] ?? null,
        );
    }
}
