<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Walk\Walk;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use App\Walk\PlaceFields;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\LookAgain;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Proposals;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;

/** Decisions about what one walk has found, each in the light of what is found and proposed now. */
#[Declared(Decision::class, item: 'decide.item', gone: 'decide.gone', when: 'decide.when')]
final class DecisionEvents implements Kind
{
    use EventDefaults;

    private const LONGEST = 300;

    private const MOST_ACRES = 100_000;

    private Decisions $decisions;

    /** @var array<string, Action> what was decided in this batch, by place key */
    private array $decided = [];

    /** @param  Walk  $walk  with its planter, as it is while that is held */
    public function __construct(
        private readonly Walk $walk,
        private readonly DecideQuery $decide,
    ) {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $this->decisions ??= $this->decide->of($this->walk->planter);
        $place = PlaceFields::read($fields, $this->walk->readSheet(), $this->walk->row_count);
        $action = $fields->oneOf('action', Action::class, 'decide.action') ?? throw Refused::because('action', 'decide.action');
        if (! $envelope->withdrawn && $this->decisions->walk?->id !== $this->walk->id) {
            throw Refused::because('', 'decide.other_walk');
        }
        $found = $this->decisions->at($place->key());
        $proposal = $envelope->withdrawn ? null : $this->proposal($place, $found, $action, $envelope);
        $reason = $fields->oneOf('reason', OverrideReason::class, 'decide.reason');
        $words = $fields->text('words', self::LONGEST, 'decide.words');
        $isOther = $proposal !== null && $found !== null && $action !== $found->proposal->action;
        if ($isOther && $reason === null && $words === '') {
            throw Refused::because('reason', 'decide.say_why', ['action' => __("action.{$found->proposal->action->value}")]);
        }
        $look = $envelope->withdrawn ? null : $this->look($fields, $action, $found?->proposal);
        $this->decided[$place->key()] = $action;

        return [
            'walk_id' => $this->walk->id,
            ...Decision::at($place),
            'action' => $action->value,
            // What is taken back may be of a finding that there is no more.
            'why' => ($proposal->why ?? $found->proposal->why ?? Why::Chosen)->value,
            'proposed' => $isOther ? $found->proposal->action->value : null,
            'reason' => $reason?->value,
            'words' => $words,
            'look_when' => $look?->when->value,
            'look_acres' => $look?->acres === null ? null : number_format($look->acres, 1, '.', ''),
            'reading_id' => $found?->reading?->readingId,
            'verdict' => ($found->reading->verdict ?? Verdict::Sound)->value,
            'parts' => json_encode(array_map(static fn (SlotPlace $part): array => ['row' => $part->row, 'slot' => $part->slot->value, 'side' => $part->side->value], $proposal->parts ?? []), JSON_THROW_ON_ERROR),
            'cost' => number_format($proposal->cost->known ?? 0.0, 2, '.', ''),
            'unpriced' => $proposal->cost->unknown ?? 0,
            'minutes' => number_format($proposal->minutes ?? 0.0, 1, '.', ''),
        ];
    }

    private function proposal(Place $place, ?Found $found, Action $action, Envelope $envelope): Proposal
    {
        if ($found === null) {
            throw Refused::because('row', 'decide.not_found', ['row' => $place->row, 'check' => __("check.{$place->check->value}")]);
        }
        $before = $this->decided[$place->key()] ?? ($found->isOpen() || $found->decision?->id === $envelope->supersedes ? null : $found->decision?->action);
        if ($before !== null && $before !== $action) {
            throw Refused::because('action', 'decide.already', ['row' => $place->row, 'check' => __("check.{$place->check->value}"), 'action' => __("action.{$before->value}")]);
        }

        return $action === $found->proposal->action ? $found->proposal : Proposals::instead($place, $action, $found->reading->verdict ?? Verdict::Sound, $this->decisions->now);
    }

    private function look(Fields $fields, Action $action, ?Proposal $proposal): ?LookAgain
    {
        $when = $fields->oneOf('look_when', LookWhen::class, 'decide.look');
        $acres = $fields->number('look_acres', 'decide.acres');
        if ($action !== Action::CarryOver) {
            return $when === null && $acres === null ? null : throw Refused::because('look_when', 'decide.look_of_carried');
        }
        if ($when === LookWhen::Acres && ($acres === null || $acres < 1 || $acres > self::MOST_ACRES || abs($acres - round($acres, 1)) > 1e-9)) {
            throw Refused::because('look_acres', 'decide.acres');
        }
        if ($when !== LookWhen::Acres && $acres !== null) {
            throw Refused::because('look_acres', 'decide.acres_alone');
        }

        return $when === null ? $proposal->lookAgain ?? LookAgain::at(LookWhen::NextWalk) : LookAgain::at($when, $acres);
    }
}
