<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Parts\PartType;
use App\Models\Planter;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Parts\Stock\Arrival;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\AccessStep;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\Kit;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Work\Card;
use Ustrel\Core\Work\Piece;
use Ustrel\Core\Work\WhileOff;

/** A piece of work on a planter, with the parts that go in. */
final readonly class PlannedWork
{
    /** Before all moments: of what nobody has decided. */
    public const ALWAYS = '1970-01-01 00:00:00.000';

    /** How a moment is written here, so that the later one sorts behind. */
    public const MOMENT = 'Y-m-d H:i:s.v';

    /**
     * @param  list<array{AccessStep, Side}>  $steps  what comes off for it, in that order
     * @param  array<string, Proposal>  $asked  what was decided to be adjusted, cleaned or looked at, by key of the place
     * @param  list<array{SlotPlace, PartType|null, Arrival}>  $parts  null where nobody has said what goes in
     * @param  array<string, Kit>  $kits  by key of the job
     * @param  string  $title  of own work
     * @param  string  $walk  whose findings it comes of, by id
     * @param  array<string, string>  $since  when each job was decided and recorded, or was done the last time, in UTC, by key: what hands said before was of other work
     */
    public function __construct(
        public Planter $planter,
        public Piece $piece,
        public array $steps,
        public Card $card,
        public array $asked,
        public array $parts,
        public array $kits,
        public string $title,
        public string $walk,
        public array $since,
    ) {
    }

    /** Names it within the plan of a workshop. */
    public function key(): string
    {
        return "{$this->planter->id} {$this->piece->key}";
    }

    /** @return list<Station> whose cautions hold */
    public function stations(): array
    {
        $stations = [];
        foreach ($this->piece->jobs as $job) {
            $stations[$job->what->station()->value] = $job->what->station();
        }

        return array_values($stations);
    }

    /** What was ticked before belongs to other work. */
    public function ticksSince(): string
    {
        return $this->since === [] ? self::ALWAYS : min($this->since);
    }

    /** It makes the planter safe, and is no work by itself. */
    public function isSafety(): bool
    {
        return $this->piece->jobs === [] && $this->piece->own === null;
    }

    /** @return list<string> tools, each once */
    public function tools(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (Kit $kit): array => $kit->tools, array_values($this->kits)))));
    }

    /** What was decided at the place of a job; null where a part is changed. */
    public function askedFor(Job $job): ?Proposal
    {
        return $job->action === Action::Change ? null : $this->asked["{$job->row}:{$job->what->value}:{$job->side->value}"] ?? null;
    }

    /** @return array<string, string> what holds what comes off, and its tools, by step: of those that somebody has said something of */
    public function joints(): array
    {
        $joints = $this->planter->loadMissing('joints')->joints->keyBy('step');
        $held = [];
        foreach ($this->steps as [$step]) {
            $held[$step->name] = $joints->get($step->name)?->at($this->piece->row) ?? '';
        }

        return array_filter($held);
    }

    /** @return list<string> what to look at while it is off; worded under `look_at.<note>` */
    public function looks(): array
    {
        return WhileOff::typical()->looks($this->off(), $this->ofRow()->checks);
    }

    /** @return list<string> what to mind when it goes back on; worded under `put_back.<note>` */
    public function back(): array
    {
        return WhileOff::typical()->back($this->off(), $this->ofRow()->checks);
    }

    private function ofRow(): Sheet
    {
        return $this->planter->readSheet()->at($this->piece->jobs[0]->row ?? Place::WHOLE_PLANTER);
    }

    /** @return list<string> what comes off for it, by name */
    private function off(): array
    {
        return array_map(static fn (array $step): string => $step[0]->name, $this->steps);
    }

    /** How the opener blades are bolted on, where they come off. */
    public function threads(): string
    {
        if (! in_array('opener_blade', $this->off(), true)) {
            return '';
        }
        $threads = $this->ofRow()->threads;
        $side = $threads->leftHand->value ?? 'unknown';

        return __("threads.{$side}").' '.($threads->torque === '' ? __('threads.torque_in_manual') : __('threads.torque', ['torque' => $threads->torque]));
    }

    /** Nobody knows when its parts come. */
    public function isUndated(): bool
    {
        foreach ($this->parts as [, , $arrival]) {
            if (! $arrival->isKnown()) {
                return true;
            }
        }

        return false;
    }
}
