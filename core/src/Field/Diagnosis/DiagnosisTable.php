<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

use Ustrel\Core\Spec\CheckKey;

/**
 * What causes what, by core/field/diagnosis.json, and Bayes' rule over it: a row that troubles has one of these causes, or another;
 * symptoms come with it as often as the table says, or by chance; and its record reads otherwise where the cause is. Symptoms and
 * checks are taken for independent given the cause (naive Bayes), and each check counts once.
 */
final readonly class DiagnosisTable
{
    /** Symptoms that a cause does not bring come by chance; where one is said to be absent it is doubted by so much. */
    private const OVERLOOKED = 0.15;

    /** What clears up less than this, in bits, is not worth the walk. */
    private const TELLS = 0.05;

    /** The second is as good as the first from this share of its chance on. */
    private const ALIKE = 0.5;

    /**
     * @param  list<Cause>  $causes
     * @param  array<string, float>  $byChance  by symptom
     * @param  array<string, float>  $with  by evidence, of a check that has to do with the cause
     * @param  array<string, float>  $without  of any other
     */
    private function __construct(
        public array $causes,
        private array $byChance,
        private array $with,
        private array $without,
        private Cause $other,
    ) {
    }

    /** As it ships. */
    public static function typical(): self
    {
        /** @var array{other: array{prior: float, why: string}, record: array{with: array<string, float>, without: array<string, float>}, symptoms: array<string, array{by_chance: float}>, causes: list<array{key: string, prior: float, why: string, checks: list<string>, minutes: float|int, shows: array<string, float>, end?: string}>} $table */
        $table = json_decode((string) file_get_contents(__DIR__.'/../../../field/diagnosis.json'), true, flags: JSON_THROW_ON_ERROR);

        return self::read($table);
    }

    /**
     * @param  array{other: array{prior: float, why: string}, record: array{with: array<string, float>, without: array<string, float>}, symptoms: array<string, array{by_chance: float}>, causes: list<array{key: string, prior: float, why: string, checks: list<string>, minutes: float|int, shows: array<string, float>, end?: string}>}  $table  as in core/field/diagnosis.json
     *
     * @throws InvalidTable
     */
    public static function read(array $table): self
    {
        $share = static fn (?float $of, string $what): float => $of > 0 && $of < 1 ? $of : throw InvalidTable::of("{$what} is a share over 0 and under 1");
        $byChance = [];
        foreach (Symptom::cases() as $symptom) {
            $byChance[$symptom->value] = $share($table['symptoms'][$symptom->value]['by_chance'] ?? null, "{$symptom->value} by chance");
        }
        $causes = [];
        foreach ($table['causes'] as $cause) {
            $shows = [];
            foreach ($cause['shows'] as $symptom => $of) {
                $shows[Symptom::tryFrom($symptom)->value ?? throw InvalidTable::of("{$symptom} is no symptom")] = $share($of, "{$cause['key']} shows {$symptom}");
            }
            $checks = array_map(static fn (string $check): CheckKey => CheckKey::tryFrom($check) ?? throw InvalidTable::of("{$check} is no check"), $cause['checks']);
            $causes[] = new Cause($cause['key'], $share($cause['prior'], "prior of {$cause['key']}"), $cause['why'], $checks, (float) $cause['minutes'], $shows, match ($cause['end'] ?? null) {
                null, 'low', 'high' => $cause['end'] ?? null,
                default => throw InvalidTable::of("{$cause['key']} is off low or high"),
            });
        }
        $of = static fn (string $which): array => array_map(static fn (Evidence $evidence): float => $share($table['record'][$which][$evidence->value] ?? null, "record {$which}"), array_column(Evidence::cases(), null, 'value'));

        return new self($causes, $byChance, $of('with'), $of('without'), new Cause('other', $share($table['other']['prior'], 'prior of another'), $table['other']['why'], [], 0.0, []));
    }

    /**
     * Without what a row unit cannot have: causes whose checks it has none of.
     *
     * @param  array<string, mixed>  $checks  of the row unit, by key
     */
    public function for(array $checks): self
    {
        $has = static fn (Cause $cause): bool => $cause->checks === [] || array_filter($cause->checks, static fn (CheckKey $check): bool => isset($checks[$check->value])) !== [];

        return new self(array_values(array_filter($this->causes, $has)), $this->byChance, $this->with, $this->without, $this->other);
    }

    /**
     * @param  list<Symptom>  $seen
     * @param  list<Symptom>  $absent  that somebody has looked for
     * @param  array<string, Evidence>  $record  of the row, by check, and by check and end where a figure is off at one; what nobody looked at is left out
     */
    public function diagnose(array $seen, array $absent = [], array $record = []): Diagnosis
    {
        if (array_filter($seen, static fn (Symptom $of): bool => ! $of->isSaid()) === []) {
            return new Diagnosis([], null, null);
        }
        $unsaid = array_filter(Symptom::cases(), static fn (Symptom $of): bool => $of->isSaid() && ! in_array($of, $seen, true));
        $absent = array_values(array_unique([...$absent, ...$unsaid], SORT_REGULAR));
        $ranked = $this->rank($seen, $absent, $record);
        $looks = array_column(array_filter($this->looks($ranked, $record), static fn (array $look): bool => $look[1] * $look[0]->minutes > self::TELLS), 0);
        $likeliest = count($ranked) > 1 && $ranked[1]->chance > self::ALIKE * $ranked[0]->chance ? [$ranked[0]->cause, $ranked[1]->cause] : [];

        return new Diagnosis($ranked, $looks[0] ?? null, array_values(array_filter($likeliest, static fn (Cause $cause): bool => in_array($cause, $looks, true)))[0] ?? null);
    }

    /**
     * @param  list<Symptom>  $seen
     * @param  list<Symptom>  $absent  that somebody has looked for
     * @param  array<string, Evidence>  $record  of the row, by check, and by check and end where a figure is off at one; what nobody looked at is left out
     * @return list<Ranked> the likeliest first; their chances add up to 1
     */
    public function rank(array $seen, array $absent = [], array $record = []): array
    {
        $ranked = [];
        $sum = 0.0;
        foreach ([...$this->causes, $this->other] as $cause) {
            $weight = $this->weight($cause, $seen, $absent, $record);
            $sum += $weight;
            $ranked[] = [$cause, $weight];
        }
        usort($ranked, static fn (array $one, array $other): int => $other[1] <=> $one[1]);

        return array_map(fn (array $of): Ranked => new Ranked(
            $of[0], $of[1] / $sum, array_values(array_filter($seen, fn (Symptom $symptom): bool => ($of[0]->shows[$symptom->value] ?? 0.0) > $this->byChance[$symptom->value])),
            self::recorded($of[0], $record, [Evidence::Amiss, Evidence::Watch]), self::recorded($of[0], $record, [Evidence::Sound]),
        ), $ranked);
    }

    /**
     * What is to be looked at next: by how much it is expected to clear up, for a minute of looking. A check that was looked at tells no more.
     *
     * @param  list<Ranked>  $ranked
     * @param  array<string, Evidence>  $record
     * @return list<array{Cause, float}> with the bits a minute, the best first
     */
    public function looks(array $ranked, array $record): array
    {
        $looks = [];
        $now = self::entropy(array_map(static fn (Ranked $of): float => $of->chance, $ranked));
        foreach ($ranked as $of) {
            $open = array_filter($of->cause->checks, static fn (CheckKey $check): bool => ! isset($record[$check->value]));
            if ($open === []) {
                continue;
            }
            $expected = 0.0;
            foreach (Evidence::cases() as $evidence) {
                $after = array_map(fn (Ranked $other): float => $other->chance * ($other->cause === $of->cause ? $this->with : $this->without)[$evidence->value], $ranked);
                $chance = array_sum($after);
                $expected += $chance * self::entropy(array_map(static fn (float $one): float => $one / $chance, $after));
            }
            $looks[] = [$of->cause, max(0.0, $now - $expected) / $of->cause->minutes];
        }
        usort($looks, static fn (array $one, array $other): int => $other[1] <=> $one[1]);

        return $looks;
    }

    /**
     * @param  list<Symptom>  $seen
     * @param  list<Symptom>  $absent
     * @param  array<string, Evidence>  $record
     */
    private function weight(Cause $cause, array $seen, array $absent, array $record): float
    {
        $weight = $cause->prior;
        foreach ($seen as $symptom) {
            $chance = $this->byChance[$symptom->value];
            $weight *= $chance + (1 - $chance) * ($cause->shows[$symptom->value] ?? 0.0);
        }
        foreach ($absent as $symptom) {
            $chance = $this->byChance[$symptom->value];
            $shows = $chance + (1 - $chance) * ($cause->shows[$symptom->value] ?? 0.0);
            $weight *= 1 - $shows * (1 - self::OVERLOOKED);
        }
        // Of several checks the one that says most: they are read on the same parts.
        $factor = null;
        foreach ($cause->checks as $check) {
            $evidence = $cause->evidence($check, $record);
            $factor = $evidence === null ? $factor : max($factor ?? 0.0, $this->with[$evidence->value] / $this->without[$evidence->value]);
        }

        return $weight * ($factor ?? 1.0);
    }

    /**
     * @param  array<string, Evidence>  $record
     * @param  list<Evidence>  $that
     * @return list<CheckKey>
     */
    private static function recorded(Cause $cause, array $record, array $that): array
    {
        return array_values(array_filter($cause->checks, static fn (CheckKey $check): bool => in_array($cause->evidence($check, $record), $that, true)));
    }

    /** @param  list<float>  $chances */
    private static function entropy(array $chances): float
    {
        return -array_sum(array_map(static fn (float $one): float => $one > 0 ? $one * log($one, 2) : 0.0, $chances));
    }
}
