<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Planter;
use App\Models\Walk\Walk;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Circumstances;
use Ustrel\Core\Plan\Cost;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Proposals;
use Ustrel\Core\Spec\Judging\Verdict;

/** What there is to decide on a planter, and what was decided. */
final readonly class Decisions
{
    /**
     * @param  list<Found>  $found  the findings, the worst first, then what is due by the policy alone
     * @param  list<CarriedOver>  $carried  over from earlier walks, those that are due first
     */
    public function __construct(
        public Planter $planter,
        public ?Walk $walk,
        public array $found,
        public array $carried,
        public Circumstances $now,
    ) {
    }

    public function at(string $key): ?Found
    {
        foreach ($this->found as $found) {
            if ($found->place->key() === $key) {
                return $found;
            }
        }

        return null;
    }

    /** @return array{Cost, float} what is proposed and still open comes to */
    public function open(): array
    {
        return $this->together(array_filter($this->found, static fn (Found $found): bool => $found->isOpen()));
    }

    /** @return array{Cost, float} what was decided and is not done comes to */
    public function decided(): array
    {
        return $this->together(array_filter($this->found, fn (Found $found): bool => ! $found->isOpen() && ! $this->isDone($found)));
    }

    /**
     * @param  array<Found>  $found
     * @return array{Cost, float}
     */
    private function together(array $found): array
    {
        return Proposals::together(array_values(array_map($this->asDecided(...), $found)), $this->now);
    }

    private function asDecided(Found $found): Proposal
    {
        return $found->isOpen() || $found->decision === null || $found->decision->action === $found->proposal->action
            ? $found->proposal
            : Proposals::instead($found->place, $found->decision->action, $found->decision->verdict, $this->now);
    }

    /** @return list<Proposal> what was decided to be done, as it was decided, and is neither overtaken nor done: each with what is left of it */
    public function work(): array
    {
        $work = array_filter($this->found, fn (Found $found): bool => ! $found->isOpen() && $found->decision?->action->isWork() === true && ! $this->isDone($found));

        return array_values(array_map(fn (Found $found): Proposal => $this->asDecided($found)->left($found->done), $work));
    }

    /** All of it was done, and it was not looked at since. */
    public function isDone(Found $found): bool
    {
        return $found->done !== [] && $this->asDecided($found)->left($found->done)->jobs === [];
    }

    /** @return list<Proposal> what was carried over, as if it were changed after all */
    public function carriedAsChanged(): array
    {
        $carried = array_filter($this->found, static fn (Found $found): bool => ! $found->isOpen() && $found->decision?->action === Action::CarryOver);

        return array_values(array_map(fn (Found $found): Proposal => Proposals::instead($found->place, Action::Change, $found->reading->verdict ?? Verdict::Sound, $this->now), $carried));
    }

    /** @return list<Decision> those that are not overtaken */
    public function held(): array
    {
        return array_values(array_filter(array_map(static fn (Found $found): ?Decision => $found->isOpen() ? null : $found->decision, $this->found)));
    }
}
