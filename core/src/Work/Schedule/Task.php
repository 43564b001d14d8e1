<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** A piece of work that is done in one go, by one person or by several together. Instants are minutes since the midnight at which the plan begins. */
final readonly class Task
{
    private const MOST = 6000;

    private const MOST_PEOPLE = 8;

    /**
     * @param  string  $key  names it within the plan
     * @param  int  $minutes  1 to 6000
     * @param  int  $from  when all that it needs is there, 0 or later
     * @param  list<string>  $after  tasks that have to be done before it begins
     * @param  list<string>  $holds  row sides that nobody else can work on meanwhile
     * @param  int|null  $due  when it has to be done; null where nothing waits for it
     * @param  int|null  $heldAt  when it begins, where somebody has fixed that by hand
     * @param  int|null  $heldBy  who does it then, as an index of the plan's people
     * @param  int  $needs  how many people together, 1 to 8; where there are fewer, as many as there are
     * @param  bool  $waits  whether it is parts that it waits for until then, and not only that the plan begins
     *
     * @throws InvalidPlan
     */
    public function __construct(
        public string $key,
        public int $minutes,
        public int $from = 0,
        public array $after = [],
        public array $holds = [],
        public ?int $due = null,
        public ?int $heldAt = null,
        public ?int $heldBy = null,
        public int $needs = 1,
        public bool $waits = true,
    ) {
        $minutes >= 1 && $minutes <= self::MOST || throw InvalidPlan::minutes($key);
        $needs >= 1 && $needs <= self::MOST_PEOPLE || throw InvalidPlan::people($key);
        ($heldAt === null) === ($heldBy === null) || throw InvalidPlan::fixed($key);
    }

    /** The same, taking so many minutes. */
    public function lasting(int $minutes): self
    {
        return new self($this->key, $minutes, $this->from, $this->after, $this->holds, $this->due, $this->heldAt, $this->heldBy, $this->needs, $this->waits);
    }
}
