<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\WorkEvent;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Work\CouldNotReason;
use Ustrel\Core\Work\WorkEventKind;

/** What hands say of the work on one planter, in the light of what is to be done on it now. */
#[Declared(WorkEvent::class, item: 'hands.item', gone: 'hands.gone', when: 'hands.when')]
final class WorkEvents implements Kind
{
    use EventDefaults;

    private const MOST_MINUTES = 6000;

    private const MOST_SEIZED = 600;

    private const LONGEST = 300;

    private const MOST_TARGETS = 200;

    private const LONGEST_TARGET = 80;

    /** @var list<PlannedWork> */
    private array $open;

    private Ticks $ticks;

    /** @var array<string, true> jobs that are done, or could not be, by an event of this batch */
    private array $closed = [];

    /** @param  Planter  $planter  as it is while it is held, with its spec sheet and workshop */
    public function __construct(
        private readonly Planter $planter,
        private readonly OpenWork $work,
    ) {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $kind = $fields->oneOf('kind', WorkEventKind::class, 'hands.kind') ?? throw Refused::because('kind', 'hands.kind');
        $minutes = $fields->whole('minutes', 1, self::MOST_MINUTES, 'hands.minutes');
        $seized = $fields->whole('seized_minutes', 0, self::MOST_SEIZED, 'hands.seized') ?? 0;
        if ($seized > 0 && ($minutes === null || $seized > $minutes)) {
            throw Refused::because('seized_minutes', 'hands.seized');
        }
        $reason = $fields->oneOf('reason', CouldNotReason::class, 'hands.reason');
        $words = $fields->text('words', self::LONGEST, 'hands.words');
        if ($kind === WorkEventKind::CouldNot && ! $envelope->withdrawn && $reason === null && $words === '') {
            throw Refused::because('reason', 'hands.say_why');
        }
        $isFinish = $kind === WorkEventKind::Finished;

        return ['kind' => $kind->value] + ($envelope->supersedes === null ? $this->new($fields, $kind) : $this->earlier($envelope->supersedes, $kind)) + [
            'minutes' => $isFinish ? $minutes : null,
            'seized_minutes' => $isFinish ? $seized : 0,
            'lubricant' => $fields->text('lubricant', self::LONGEST, 'hands.lubricant'),
            'reason' => $kind === WorkEventKind::CouldNot ? $reason?->value : null,
            'words' => $words,
            'ledger' => json_encode($isFinish ? self::strings($fields, 'ledger', 'hands.ledger') : [], JSON_THROW_ON_ERROR),
        ];
    }

    /**
     * A correction is of the same work: only its figures and words are others.
     *
     * @return array<string, mixed>
     */
    private function earlier(string $id, WorkEventKind $kind): array
    {
        $event = WorkEvent::query()->where('planter_id', $this->planter->id)->where('kind', $kind)->find($id) ?? throw Refused::because('supersedes', 'hands.gone');

        return array_intersect_key($event->getAttributes(), ['row_number' => 1, 'targets' => 1, 'places' => 1, 'typical_minutes' => 1]);
    }

    /** @return array<string, mixed> */
    private function new(Fields $fields, WorkEventKind $kind): array
    {
        $this->open ??= $this->work->on($this->planter, [], $this->planter->workshop->today());
        $this->ticks ??= Ticks::of($this->planter);
        $targets = self::strings($fields, 'targets', 'hands.targets');
        if ($targets === [] || ($kind === WorkEventKind::Ticked && count($targets) > 1)) {
            throw Refused::because('targets', 'hands.targets');
        }
        $piece = $this->pieceOf($targets);
        $jobs = array_filter($piece->piece->jobs, static fn (Job $job): bool => in_array($job->key(), $targets, true));
        if ($kind === WorkEventKind::Ticked) {
            $this->tick($piece, $targets[0]);
        } elseif ($piece->piece->own !== null ? $targets !== [$piece->piece->own->key()] || $kind === WorkEventKind::CouldNot : count($jobs) < count($targets)) {
            throw Refused::because('targets', 'hands.jobs');
        } else {
            $this->closed += array_fill_keys($targets, true);
        }
        $asked = array_filter($piece->asked, static fn (Proposal $proposal): bool => array_intersect(array_map(static fn (Job $job): string => $job->key(), $proposal->jobs), $targets) !== []);

        return [
            'row_number' => $piece->piece->row,
            'targets' => json_encode($targets, JSON_THROW_ON_ERROR),
            'places' => json_encode(array_map(strval(...), array_keys($asked)), JSON_THROW_ON_ERROR),
            'typical_minutes' => $kind === WorkEventKind::Finished && $jobs !== [] ? number_format(JobBook::typical()->minutesOnRows(array_values($jobs)), 1, '.', '') : null,
        ];
    }

    /** @throws Refused where it is ticked, or something comes before it that is not */
    private function tick(PlannedWork $piece, string $target): void
    {
        $known = $this->ticks->on($piece)[$target] ?? null;
        if ($known !== null) {
            throw Refused::because('targets', 'hands.ticked', ['what' => WorkWords::target($target), 'row' => $piece->piece->row, 'by' => $known->user->name ?? __('hands.you')]);
        }
        foreach ($piece->card->lines[$target] as $before) {
            if (! isset($this->ticks->on($piece)[$before])) {
                throw Refused::because('targets', 'hands.first', ['what' => WorkWords::target($target), 'row' => $piece->piece->row, 'first' => WorkWords::target($before)]);
            }
        }
        $this->ticks->add($target);
    }

    /** @param  non-empty-list<string>  $targets */
    private function pieceOf(array $targets): PlannedWork
    {
        foreach ($this->open as $piece) {
            if (array_diff($targets, array_keys(array_diff_key($piece->card->lines, $this->closed))) === []) {
                return $piece;
            }
        }
        $done = $this->ticks->closing($targets);
        if ($done !== null) {
            throw Refused::because('targets', "hands.was_{$done->kind->value}", ['what' => WorkWords::target($targets[0]), 'row' => $done->row_number, 'by' => $done->user->name]);
        }
        throw Refused::because('targets', 'hands.not_open');
    }

    /** @return list<string> */
    private static function strings(Fields $fields, string $field, string $otherwise): array
    {
        $list = $fields->has($field) ? $fields->list($field, $otherwise) : [];
        $strings = array_values(array_unique(array_filter($list, static fn (mixed $one): bool => is_string($one) && strlen($one) <= self::LONGEST_TARGET)));

        return count($strings) === count($list) && count($list) <= self::MOST_TARGETS ? $strings : throw Refused::because($field, $otherwise);
    }
}
