<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Spec\CheckKey;

/** What a job takes besides its parts, and what is looked at again when it is done. */
final readonly class Kit
{
    private const MOST_PEOPLE = 4;

    /**
     * @param  int  $people  1 to 4
     * @param  list<string>  $tools  worded under `tool.<name>`
     * @param  list<CheckKey>  $again  checks on the same row
     */
    public function __construct(
        public int $people = 1,
        public array $tools = [],
        public array $again = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $job  as in core/jobs/jobs.json, with `people`, `tools` and `again` where it has them
     *
     * @throws InvalidJobBook
     */
    public static function read(string $of, array $job): self
    {
        [$people, $tools, $again] = [$job['people'] ?? 1, $job['tools'] ?? [], $job['again'] ?? []];
        if (! is_int($people) || $people < 1 || $people > self::MOST_PEOPLE || ! is_array($tools) || ! is_array($again)) {
            throw InvalidJobBook::kit($of);
        }

        return new self(
            $people,
            array_map(static fn (mixed $tool): string => is_string($tool) ? $tool : throw InvalidJobBook::kit($of), array_values($tools)),
            array_map(static fn (mixed $check): CheckKey => (is_string($check) ? CheckKey::tryFrom($check) : null) ?? throw InvalidJobBook::kit($of), array_values($again)),
        );
    }
}
