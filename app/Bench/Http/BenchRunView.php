<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\BenchRun;
use DateTimeInterface;
use Ustrel\Core\Meter\RunFinding;
use Ustrel\Core\Meter\RunSetUp;
use Ustrel\Core\Meter\Stage;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

final readonly class BenchRunView extends Schema
{
    public function __construct(
        public string $id,
        public int $row,
        public Stage $stage,
        public int $places,
        public int $skips,
        public int $doubles,
        public MeterShareView $singulation,
        /** Singulation that is good for this seed */
        public float $aim,
        /** @var 'skips'|'doubles'|null Which there are more of, by more than luck */
        public ?string $lean,
        public MeterShareView $skipped,
        public MeterShareView $doubled,
        public string $seed,
        public string $disc,
        /** Inches of water */
        public ?float $air,
        public ?int $cells,
        /** Seeds an acre */
        public ?int $population,
        public ?float $mph,
        /** Turns a minute of its disc; null where speed, population or cells were not said */
        public ?float $rpm,
        public string $singulator,
        public string $lubricant,
        public string $note,
        /** Seeds that ran before the counting began */
        public ?int $run_in,
        /** The first part of the run, where its vacuum was changed on the way */
        public ?string $part_of,
        /** It was cut short */
        public bool $partial,
        /** A made-up meter ran */
        public bool $practice,
        /** What its seeds told; null where only its counts are known */
        public ?RunFiguresView $figures,
        /** @var list<array{check: CheckKey, state: State|null, chips: list<Chip>}> What it says of checks of its row (no state: it was run this season); none where a made-up meter ran, or where it was cut short */
        public array $board,
        public string $by,
        public DateTimeInterface $happened_at,
    ) {
    }

    /**
     * @param  array<string, mixed>  $checks  of the row unit, by key
     * @param  array<string, true>  $unsound
     */
    public static function of(BenchRun $run, array $checks, array $unsound, Aims $aims, float $width): self
    {
        $counts = $run->counts();
        $mph = $run->mph === null ? null : (float) $run->mph;

        return new self(
            id: $run->id, row: $run->row_number, stage: $run->stage, places: $run->places, skips: $run->skips, doubles: $run->doubles,
            singulation: MeterShareView::singulation($counts),
            aim: $aims->singulation, lean: $counts->lean(), skipped: MeterShareView::of($counts->skipped()), doubled: MeterShareView::of($counts->doubled()),
            seed: $run->lotName(), disc: $run->disc, air: $run->air === null ? null : (float) $run->air, cells: $run->cells, population: $run->population, mph: $mph,
            rpm: $mph === null || $run->population === null || $run->cells === null ? null : round(RunSetUp::rpm($run->population, $width, $mph, $run->cells), 1),
            singulator: $run->singulator, lubricant: $run->lubricant, note: $run->note, partial: $run->is_partial, practice: $run->isPractice(), figures: RunFiguresView::of($run->figures()), run_in: $run->run_in, part_of: $run->part_of,
            board: self::board($run, $checks, $unsound, $aims),
            by: $run->user->name,
            happened_at: $run->happened_at,
        );
    }

    /**
     * @param  array<string, mixed>  $checks
     * @param  array<string, true>  $unsound
     * @return list<array{check: CheckKey, state: State|null, chips: list<Chip>}>
     */
    private static function board(BenchRun $run, array $checks, array $unsound, Aims $aims): array
    {
        if ($run->is_partial || $run->isPractice()) {
            return [];
        }
        $isPeriodic = ($run->figures()['skipping'] ?? []) !== [] || ($run->figures()['doubling'] ?? []) !== [];
        // What somebody found with his own eyes stands.
        $news = array_filter(RunFinding::of($run->counts(), $isPeriodic, $checks, $aims->singulation), static fn (RunFinding $finding): bool => $finding->state === null || ! isset($unsound[(new Place($run->row_number, $finding->check, Side::Centre))->key()]));

        return array_values(array_map(static fn (RunFinding $finding): array => ['check' => $finding->check, 'state' => $finding->state, 'chips' => $finding->chips], $news));
    }
}
