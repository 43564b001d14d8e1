<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Field\Diagnosis\Diagnosis;
use Ustrel\Core\Field\Diagnosis\Ranked;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;

final readonly class DiagnosisView extends Schema
{
    private const SHOWN = 6;

    /** Causes less likely than this are not listed, but for the first three. */
    private const LEAST = 0.01;

    public function __construct(
        /** @var list<Symptom> */
        public array $seen,
        /** @var list<Symptom> */
        public array $absent,
        /**
         * The likeliest first; none without a symptom
         *
         * @var list<array{
         *     key: string,
         *     chance: float, // 0 to 1
         *     why: string,
         *     because: list<Symptom>, // Seen, and more often with it than without
         *     record: list<CheckKey>, // Checks of this row that speak for it
         *     against: list<CheckKey>, // Checks of this row that speak against it
         *     looks: list<CauseLookView>, // Checks that this row unit has
         * }>
         */
        public array $causes,
        /** @var array{key: string, minutes: float}|null What to look at first: it tells most for a minute */
        public ?array $first,
        /** The two likeliest cannot be told apart without looking at this one */
        public ?string $apart,
    ) {
    }

    /**
     * @param  array<string, Check>  $checks  of the row unit, by key
     * @param  list<Symptom>  $seen
     * @param  list<Symptom>  $absent
     */
    public static function of(Diagnosis $diagnosis, array $checks, array $seen, array $absent): self
    {
        return new self(
            seen: $seen, absent: $absent,
            causes: array_map(static fn (Ranked $of): array => self::cause($of, $checks), self::listed($diagnosis->ranked)),
            first: $diagnosis->first === null ? null : ['key' => $diagnosis->first->key, 'minutes' => $diagnosis->first->minutes],
            apart: $diagnosis->apart?->key,
        );
    }

    /**
     * @param  list<Ranked>  $ranked
     * @return list<Ranked>
     */
    private static function listed(array $ranked): array
    {
        return array_values(array_filter(array_slice($ranked, 0, self::SHOWN), static fn (Ranked $of, int $at): bool => $at < 3 || $of->chance >= self::LEAST, ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param  array<string, Check>  $checks
     * @return array{key: string, chance: float, why: string, because: list<Symptom>, record: list<CheckKey>, against: list<CheckKey>, looks: list<CauseLookView>}
     */
    private static function cause(Ranked $of, array $checks): array
    {
        $looks = [];
        foreach ($of->cause->checks as $key) {
            $check = $checks[$key->value] ?? null;
            if ($check !== null) {
                $looks[] = new CauseLookView(check: $key, side: $check->sides[0], figure: $check->kind !== CheckKind::Condition, of_planter: $check->isOfWholePlanter());
            }
        }

        return [
            'key' => $of->cause->key, 'chance' => round($of->chance, 3), 'why' => $of->cause->why, 'because' => $of->because,
            'record' => $of->record, 'against' => $of->against, 'looks' => $looks,
        ];
    }
}
