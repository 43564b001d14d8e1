<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use App\Walk\StoredReason;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Reason;

final readonly class ReasonView extends Schema
{
    public function __construct(
        /** Worded in lang/en under reason.CODE, or under CODE itself where it has a dot */
        public string $code,
        /** The figure that the reading was held against */
        public ?float $ref,
        public ?Unit $unit,
        /** The day of what is told */
        #[OmittedWhenNull] public ?Day $on,
    ) {
    }

    public static function of(Reason $of): self
    {
        return self::stored(StoredReason::of($of));
    }

    /**
     * @param  list<array{code: string, ref: float|null, unit: string|null, on?: string}>  $stored
     * @return list<self>
     */
    public static function all(array $stored): array
    {
        return array_map(self::stored(...), $stored);
    }

    /** @param  array{code: string, ref: float|null, unit: string|null, on?: string}  $of */
    private static function stored(array $of): self
    {
        return new self($of['code'], $of['ref'], $of['unit'] === null ? null : Unit::from($of['unit']), isset($of['on']) ? Day::of($of['on']) : null);
    }
}
