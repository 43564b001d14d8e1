<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\RateWords;
use App\Http\Api\Schema;
use App\Models\Field\Dig;
use Ustrel\Core\Field\Rate\FoundRate;
use Ustrel\Core\Field\Rate\RateFinding;
use Ustrel\Core\Field\Rate\RateScope;
use Ustrel\Core\Field\Rate\RateVerdict;

final readonly class FoundRateView extends Schema
{
    public function __construct(
        public RateVerdict $verdict,
        public string $said,
        /** Spacing found over spacing set, with its 90% interval, in words */
        public string $ratio,
        /**
         * @var list<array{
         *     scope: RateScope,
         *     rows: list<int>,
         *     said: string,
         *     ratio: string,
         *     causes: list<string>, // The likeliest first, in words
         *     to_prove: string|null, // What to dig to know whether all rows are off so; null where that is known
         * }>
         */
        public array $findings,
    ) {
    }

    public static function of(FoundRate $found): self
    {
        return new self(
            verdict: $found->verdict, said: RateWords::verdict($found), ratio: RateWords::ratio($found->all),
            findings: array_map(static fn (RateFinding $of): array => [
                'scope' => $of->scope, 'rows' => $of->rows, 'said' => RateWords::rows($of).': '.RateWords::by($of->rate), 'ratio' => RateWords::ratio($of->rate),
                'causes' => array_map(RateWords::cause(...), $of->causes), 'to_prove' => RateWords::toProve($of),
            ], $found->findings),
        );
    }
}
