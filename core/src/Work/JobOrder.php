<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\Span;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/** What has to be done before what, on the same row or on the whole planter: blades before their contact, tires before the level. */
final class JobOrder
{
    /** @param  list<array{Span, list<string>, list<string>}>  $rules  per row or planter: what comes first, and what then */
    private function __construct(private array $rules)
    {
    }

    public static function typical(): self
    {
        /** @var self|null $typical */
        static $typical = null;

        return $typical ??= self::read((array) json_decode((string) file_get_contents(__DIR__.'/../../jobs/order.json'), true, flags: JSON_THROW_ON_ERROR));
    }

    /**
     * @param  array<mixed>  $rules  shape: core/jobs/order.json
     *
     * @throws InvalidPlan
     */
    public static function read(array $rules): self
    {
        $read = [];
        foreach (array_values($rules) as $at => $rule) {
            $span = is_array($rule) && is_string($rule['per'] ?? null) ? Span::tryFrom($rule['per']) : null;
            if (! is_array($rule) || ! in_array($span, [Span::Row, Span::Planter], true)) {
                throw InvalidPlan::rule($at + 1);
            }
            $read[] = [$span, self::whats($rule['first'] ?? null, $at + 1), self::whats($rule['then'] ?? null, $at + 1)];
        }

        return new self($read);
    }

    /** @return list<string> */
    private static function whats(mixed $list, int $rule): array
    {
        $whats = [];
        foreach (is_array($list) && array_is_list($list) ? $list : throw InvalidPlan::rule($rule) as $what) {
            $isKnown = is_string($what) && (Slot::tryFrom($what) !== null || CheckKey::tryFrom($what) !== null);
            $whats[] = $isKnown ? $what : throw InvalidPlan::rule($rule);
        }

        return $whats;
    }

    /**
     * Which of some jobs has to be done before which.
     *
     * @param  array<string, Job>  $jobs  by key
     * @return list<array{string, string}> the keys of the first and of the one that comes then
     */
    public function pairs(array $jobs): array
    {
        $found = [];
        foreach ($jobs as $key => $job) {
            $found[$job->what->value][$job->row][] = $key;
        }
        $pairs = [];
        foreach ($this->rules as [$span, $before, $after]) {
            foreach (array_intersect_key($found, array_flip($after)) as $rows) {
                foreach ($rows as $row => $thens) {
                    foreach (array_intersect_key($found, array_flip($before)) as $firsts) {
                        $first = $span === Span::Row ? $firsts[$row] ?? [] : array_merge(...$firsts);
                        array_push($pairs, ...array_merge(...array_map(static fn (string $then): array => array_map(static fn (string $of): array => [$of, $then], $first), $thens)));
                    }
                }
            }
        }

        return $pairs;
    }
}
