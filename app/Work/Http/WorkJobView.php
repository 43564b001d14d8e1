<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Plan\Http\TurnedView;
use App\Work\PlannedWork;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\LedgerDraft;
use Ustrel\Core\Work\OwnWork;

final readonly class WorkJobView extends Schema
{
    public function __construct(
        /** By which it is ticked and finished */
        public string $key,
        /** @var 'change'|'adjust'|'clean'|'send_out'|'look_again'|'carry_over'|'own'|'grease'|'off' As decided; own of the shop’s own work, grease of what is lubricated */
        public string $action,
        /** Of own work, and of what is lubricated */
        public ?string $title,
        /** A slot where a part is changed, a check else */
        public string $what,
        public Side $side,
        /** Null where a part is changed */
        public ?Why $why,
        public ?TurnedView $to,
        public ?TurnedView $by,
        /** What was recorded to be done before was of other work */
        public DateTimeInterface $since,
        /**
         * What is recorded on the ledger when it is finished
         *
         * @var list<array{
         *     kind: LedgerEventKind,
         *     side: Side,
         *     slot: Slot|null,
         *     pairs: int|null, // Shims added on each side, negative where taken out; null where they have to be counted
         * }>
         */
        public array $ledger,
        /** @var list<array{check: CheckKey, side: Side}> What is looked at again when it is done */
        public array $again,
    ) {
    }

    public static function of(Job $job, PlannedWork $in): self
    {
        $of = $in->askedFor($job);

        return new self(
            key: $job->key(), action: $job->action->value, title: null, what: $job->what->value, side: $job->side,
            why: $of?->why, to: TurnedView::of($of?->to), by: TurnedView::of($of?->by),
            ledger: array_map(static fn (LedgerDraft $draft): array => ['kind' => $draft->kind, 'side' => $draft->side, 'slot' => $draft->slot, 'pairs' => $draft->pairs], LedgerDraft::of($job, $of)),
            again: self::again($job, $in), since: CarbonImmutable::parse($in->since[$job->key()] ?? PlannedWork::ALWAYS, 'UTC'),
        );
    }

    public static function own(PlannedWork $of, OwnWork $own): self
    {
        return new self(
            key: $own->key(), action: $own->target->action, title: $of->title, what: $own->target->what, side: $own->target->side,
            why: null, to: null, by: null, ledger: [], again: [], since: CarbonImmutable::parse($of->since[$own->key()] ?? PlannedWork::ALWAYS, 'UTC'),
        );
    }

    /** @return list<array{check: CheckKey, side: Side}> that there are on this planter: on the side of the job, or on each where the job has none */
    private static function again(Job $job, PlannedWork $in): array
    {
        $sheet = $in->planter->readSheet()->at($job->row);
        $checks = $job->what instanceof CheckKey ? [$job->what, ...$in->kits[$job->key()]->again] : $in->kits[$job->key()]->again;
        $again = [];
        foreach ($checks as $key) {
            $check = $sheet->check($key);
            foreach ($check === null || $check->isOfWholePlanter() !== ($job->row === 0) ? [] : ($check->has($job->side) ? [$job->side] : $check->sides) as $side) {
                $again[] = ['check' => $key, 'side' => $side];
            }
        }

        return $again;
    }
}
