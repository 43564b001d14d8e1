<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\Partners;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\Adjusting;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\Remedies;
use Ustrel\Core\Plan\Jobs\Remedy;
use Ustrel\Core\Plan\Policy\Due;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\Window;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/**
 * What to do about each finding of a walk, and about each part that the policy changes though nothing was found: a function
 * of what is on record, the policy and the prices, and of nothing else.
 */
final readonly class Proposals
{
    /** From this chance on what is left is looked at on the first rain day, and not only in the next walk. */
    private const SOON = 0.1;

    /** @param  array<string, Why>  $due  what the policy changes, by place key */
    private function __construct(
        private Circumstances $now,
        private array $due,
    ) {
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, Proposal> by place key: the findings in their order, then what is due by the policy alone
     */
    public static function of(array $findings, Circumstances $now): array
    {
        $proposals = new self($now, Due::among($now));
        $remedies = $found = [];
        // Whether a row gets other blades is known before its contact is looked at.
        foreach ([false, true] as $contact) {
            foreach ($findings as $finding) {
                if ($finding->check->key->is('blade_contact_length') === $contact) {
                    $key = $finding->place->key();
                    $found[$key] = $finding;
                    $remedies[$key] = $proposals->remedy($finding, self::changesBlades($finding->place->row, $remedies) || $proposals->bladesAreDue($finding->place->row));
                }
            }
        }
        $made = [];
        foreach ($findings as $finding) {
            $made[$finding->place->key()] = $proposals->proposal($finding->place, $remedies[$finding->place->key()], $finding->verdict, $finding);
        }
        foreach (array_diff_key($proposals->due, $found) as $key => $why) {
            $made[$key] = $proposals->proposal(Place::fromKey($key), Remedy::change($why), Verdict::Sound);
        }

        return $made;
    }

    /** What a person does about a place instead of what is proposed: with the parts, the minutes and the risk that go with that. */
    public static function instead(Place $place, Action $action, Verdict $verdict, Circumstances $now): Proposal
    {
        return (new self($now, []))->proposal($place, Remedy::of($action, Why::Chosen), $verdict);
    }

    /**
     * What several proposals take together: parts that two of them name go in once, shared access counts once.
     *
     * @param  list<Proposal>  $proposals
     * @return array{Cost, float} the cost and the minutes
     */
    public static function together(array $proposals, Circumstances $now): array
    {
        $parts = $jobs = [];
        $without = 0;
        foreach ($proposals as $proposal) {
            foreach ($proposal->parts as $part) {
                $parts[$part->key()] = $now->prices[$part->key()] ?? null;
            }
            array_push($jobs, ...$proposal->jobs);
            $without += $proposal->withoutSlot;
        }

        return [Cost::of([...array_values($parts), ...array_fill(0, $without, null)]), $now->jobs->minutes($jobs)];
    }

    /** @param  array<string, Remedy>  $remedies  by place key */
    private static function changesBlades(int $row, array $remedies): bool
    {
        foreach ($remedies as $key => $remedy) {
            $place = Place::fromKey($key);
            if ($place->row === $row && $remedy->action === Action::Change && Slot::of($place->check)?->is('opener_blade') === true) {
                return true;
            }
        }

        return false;
    }

    private function bladesAreDue(int $row): bool
    {
        foreach ([Side::Left, Side::Right, Side::Centre] as $side) {
            if (isset($this->due[(new Place($row, CheckKey::from('opener_blade_diameter'), $side))->key()])) {
                return true;
            }
        }

        return false;
    }

    private function remedy(Finding $finding, bool $newBlades): Remedy
    {
        $adjusting = Adjusting::of($finding, $this->now->shims[$finding->place->row] ?? [null, null], $this->now->sensitivity, $newBlades, $this->now->contacts[$finding->place->row] ?? null, $this->window($finding->place->row));
        if ($adjusting !== null) {
            return $adjusting;
        }
        $state = $finding->answer?->state;
        if ($finding->check->kind === CheckKind::Touch) {
            return $state === State::Gap ? Remedy::adjust(Why::ArmShimOut, null, Unit::Shim->quantityOf(1)) : Remedy::adjust(Why::ArmShimIn, null, Unit::Shim->quantityOf(1));
        }
        if ($state === State::No) {
            return Remedy::of(Remedies::ofNo($finding->check->key), Why::SeeTo);
        }

        return $finding->answer?->quantity === null ? $this->ofCondition($finding) : $this->ofWear($finding);
    }

    /** That blade contact is held to, where the row has it. */
    private function window(int $row): ?Window
    {
        $rule = $this->now->sheet->at($row)->check(CheckKey::from('blade_contact_length'))?->rule;

        return $rule instanceof Window ? $rule : null;
    }

    private function ofCondition(Finding $finding): Remedy
    {
        $chips = array_values(array_filter(array_map(static fn (Reason $reason): mixed => $reason->code, $finding->reasons), static fn (mixed $code): bool => $code instanceof Chip));
        $action = $chips === [] ? Action::Change : Remedies::ofChips($finding->check->key, $chips);

        return match (true) {
            $action === Action::Clean => Remedy::of(Action::Clean, Why::CleanIt),
            $action === Action::Adjust => Remedy::adjust(self::turned($chips)),
            $finding->verdict === Verdict::Failed => Remedy::change(Why::CannotRun),
            $finding->verdict === Verdict::Change && $action === Action::Change => Remedy::change(Why::PastLimit),
            isset($this->due[$finding->place->key()]) => Remedy::change($this->due[$finding->place->key()]),
            default => Remedy::of(Action::CarryOver, Why::LooksPoor),
        };
    }

    /** @param  list<Chip>  $chips */
    private static function turned(array $chips): Why
    {
        return match (true) {
            in_array(Chip::TooTight, $chips, true) => Why::Loosen,
            in_array(Chip::TooLoose, $chips, true), in_array(Chip::Loose, $chips, true), in_array(Chip::BoltsLoose, $chips, true) => Why::Tighten,
            default => Why::SeeTo,
        };
    }

    /** A figure that wears: past its limit it is changed, before it the policy says. */
    private function ofWear(Finding $finding): Remedy
    {
        return match (true) {
            $finding->verdict->severity() >= Verdict::Change->severity() => Remedy::change($finding->verdict === Verdict::Failed ? Why::CannotRun : Why::PastLimit, $finding->reasons[0]->reference ?? null),
            isset($this->due[$finding->place->key()]) => Remedy::change($this->due[$finding->place->key()]),
            $this->isCheaperNow($finding->place) => Remedy::change(Why::CheaperNow),
            $this->willProbablyFail($finding->place) => ($this->now->wear[$finding->place->key()] ?? null)?->isThin === true ? Remedy::of(Action::CarryOver, Why::MayNotLast) : Remedy::change(Why::WouldNotLast),
            default => Remedy::of(Action::CarryOver, Why::StillGoes),
        };
    }

    /** What will more likely than not be at its limit before the season ends is never called fine, whatever the policy. */
    private function willProbablyFail(Place $place): bool
    {
        return (($this->now->wear[$place->key()] ?? null)->chance ?? 0.0) > 0.5;
    }

    /** Whether leaving it costs more, by the odds of a stop, than what is thrown away by changing it and its partners now. */
    private function isCheaperNow(Place $place): bool
    {
        $wear = $this->now->wear[$place->key()] ?? null;
        $slot = Slot::of($place->check);
        if ($wear?->chance === null || $wear->isThin || $slot === null || $this->now->stopCost === null) {
            return false;
        }
        $thrownAway = 0.0;
        foreach (Partners::of(new SlotPlace($place->row, $slot, $place->side), $this->now->units->at($place->row)) as $part) {
            $price = $this->now->prices[$part->key()] ?? null;
            if ($price === null) {
                return false;
            }
            // What no figure is read of counts whole.
            $gone = ($this->now->wear[$part->reading()->key()] ?? null)->gone ?? 0.0;
            $thrownAway += max(0.0, 1 - $gone) * $price;
        }

        return $wear->chance * $this->now->stopCost > $thrownAway;
    }

    private function proposal(Place $place, Remedy $remedy, Verdict $verdict, ?Finding $finding = null): Proposal
    {
        $parts = $remedy->action === Action::Change ? $this->parts($place, $remedy) : [];
        $jobs = match (true) {
            $remedy->action === Action::Change => array_map(Job::change(...), $parts),
            $remedy->action === Action::CarryOver => [],
            // They are off for the blades anyway.
            $remedy->why === Why::AfterBlades => [Job::at(Action::LookAgain, $place)],
            default => [Job::at($remedy->action, $place)],
        };
        $withoutSlot = $remedy->action === Action::Change && $parts === [] ? 1 : 0;
        $risk = $this->risk($place, $verdict, $finding);

        return new Proposal(
            $place, $remedy->action, $remedy->why, $remedy->to, $remedy->by, $parts, $withoutSlot, $jobs,
            Cost::of([...array_map(fn (SlotPlace $part): ?float => $this->now->prices[$part->key()] ?? null, $parts), ...array_fill(0, $withoutSlot, null)]),
            // What makes the planter safe is shared by everything that is done that day.
            $this->now->jobs->minutesOnRows($jobs), $risk,
            $remedy->action === Action::CarryOver ? $this->lookAgain($place, $risk) : null,
            Remedies::isForQualified($place->check),
        );
    }

    /** @return list<SlotPlace> what goes in new, with what wears along with it */
    private function parts(Place $place, Remedy $remedy): array
    {
        $slot = $remedy->why === Why::BladesDone ? Slot::from('opener_blade') : Slot::of($place->check);
        if ($slot === null) {
            return [];
        }
        $equipment = $this->now->units->at($place->row);
        $side = $remedy->why === Why::BladesDone ? $slot->sides($equipment)[0] : $place->side;
        $parts = Partners::of(new SlotPlace($place->row, $slot, $side), $equipment);
        if (isset($this->due[$place->key()])) {
            foreach ($this->now->policy->ruleFor($slot)->with as $with) {
                if ($with->isOn($equipment)) {
                    array_push($parts, ...array_map(static fn (Side $of): SlotPlace => new SlotPlace($place->row, $with, $of), $with->sides($equipment)));
                }
            }
        }

        return $parts;
    }

    private function risk(Place $place, Verdict $verdict, ?Finding $finding): Risk
    {
        $wear = $this->now->wear[$place->key()] ?? null;
        $check = $this->now->sheet->checkAt($place);
        $rule = $check?->rule;
        if ($verdict === Verdict::Failed) {
            return Risk::stopped();
        }
        if ($rule instanceof Window && $finding?->answer?->quantity !== null && $finding->answer->quantity->steps() > $rule->high->steps()) {
            // Too long wears bearings, and no odds of it are known but the shop's own.
            return isset($this->now->left[$place->check->value]) ? Risk::ofRecord($verdict, ...$this->now->left[$place->check->value]) : Risk::unknown();
        }
        if ($verdict === Verdict::Change && $wear !== null && $finding?->answer?->quantity !== null) {
            return Risk::pastLimit($wear->chance);
        }
        if ($wear?->chance !== null) {
            return Risk::ofWear($wear->chance, $wear->isThin);
        }
        if ($verdict === Verdict::Sound || ($check->kind ?? CheckKind::Condition) !== CheckKind::Condition) {
            return Risk::unknown();
        }

        return Risk::ofRecord($verdict, ...$this->now->left[$place->check->value] ?? [0, 0]);
    }

    private function lookAgain(Place $place, Risk $risk): LookAgain
    {
        $acres = ($this->now->wear[$place->key()] ?? null)?->acres10;
        if ($acres !== null && $this->now->acresLeft !== null && $acres >= 1 && $acres < $this->now->acresLeft) {
            return LookAgain::at(LookWhen::Acres, floor($this->now->acresDone + $acres));
        }

        return LookAgain::at(($risk->chance ?? 0.0) >= self::SOON ? LookWhen::FirstRain : LookWhen::NextWalk);
    }
}
