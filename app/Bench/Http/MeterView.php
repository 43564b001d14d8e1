<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\BenchRun;
use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use DateTimeInterface;
use Ustrel\Core\Meter\Places\MeterStay;

final readonly class MeterView extends Schema
{
    public function __construct(
        public int $id,
        public string $serial,
        public string $note,
        public int $revision,
        /** @var list<MeterStayView> The newest first */
        public array $stays,
        /**
         * On the stand, the newest first
         *
         * @var list<array{
         *     id: string,
         *     planter_id: int,
         *     row: int,
         *     singulation: MeterShareView,
         *     seed: string,
         *     air: float|null, // Inches of water
         *     happened_at: DateTimeInterface,
         * }>
         */
        public array $runs,
    ) {
    }

    /**
     * @param  list<MeterStay>  $stays
     * @param  array<string, MeterMove>  $moves  by id
     * @param  list<BenchRun>  $runs
     */
    public static function of(Meter $meter, array $stays, array $moves, array $runs): self
    {
        return new self(
            id: $meter->id, serial: $meter->serial, note: $meter->note, revision: $meter->revision,
            stays: array_map(static fn (MeterStay $stay): MeterStayView => MeterStayView::of($stay, $moves[$stay->move->id]), array_reverse($stays)),
            runs: array_map(static fn (BenchRun $run): array => [
                'id' => $run->id, 'planter_id' => $run->planter_id, 'row' => $run->row_number, 'singulation' => MeterShareView::singulation($run->counts()), 'seed' => $run->lotName(),
                'air' => $run->air === null ? null : (float) $run->air, 'happened_at' => $run->happened_at,
            ], $runs),
        );
    }
}
