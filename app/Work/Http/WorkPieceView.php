<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Work\PlannedWork;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;

final readonly class WorkPieceView extends Schema
{
    public function __construct(
        public string $key,
        public int $planter,
        /** Whose findings it comes of; empty for what makes the planter safe */
        public string $walk,
        /** 0 for the planter as a whole */
        public int $row,
        /** @var list<array{step: string, side: Side}> What comes off for it, in that order */
        public array $steps,
        /**
         * What is ticked on its card, in the order in which hands come to it: what comes off, then the jobs
         *
         * @var list<array{
         *     key: string,
         *     before: list<string>, // Lines that are ticked before it
         * }>
         */
        public array $lines,
        /** Ticks of before belong to other work */
        public DateTimeInterface $since,
        /** @var list<string> */
        public array $tools,
        /** @var list<string> What to look at while it is off */
        public array $looks,
        /** @var list<string> What to mind when it goes back on */
        public array $back,
        /** That it takes at its heaviest */
        public int $people,
        /** @var list<Station> Whose cautions hold */
        public array $stations,
        /** @var list<WorkJobView> None where it makes the planter safe */
        public array $jobs,
        /** @var list<WorkPartView> */
        public array $parts,
        public int $minutes,
        /** Planting waits for it */
        public bool $blocks,
    ) {
    }

    public static function of(PlannedWork $of): self
    {
        return new self(
            key: $of->key(),
            planter: $of->planter->id,
            walk: $of->walk,
            row: $of->piece->row,
            steps: array_map(static fn (array $step): array => ['step' => $step[0]->name, 'side' => $step[1]], $of->steps),
            lines: array_map(static fn (string $key, array $before): array => ['key' => $key, 'before' => $before], array_keys($of->card->lines), $of->card->lines),
            since: CarbonImmutable::parse($of->ticksSince(), 'UTC'),
            tools: $of->tools(),
            looks: $of->looks(),
            back: $of->back(),
            people: $of->piece->people,
            stations: $of->stations(),
            jobs: $of->piece->own !== null ? [WorkJobView::own($of, $of->piece->own)] : array_map(static fn (Job $job): WorkJobView => WorkJobView::of($job, $of), $of->piece->jobs),
            parts: array_map(static fn (array $part): WorkPartView => WorkPartView::of(...$part), $of->parts),
            minutes: $of->piece->minutes,
            blocks: $of->piece->blocks,
        );
    }
}
