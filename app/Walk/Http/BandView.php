<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Board;
use App\Walk\Board\Http\ReasonView;
use App\Walk\DepthAims;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Band;
use Ustrel\Core\Spec\Judging\Bands;
use Ustrel\Core\Spec\Judging\Verdict;

final readonly class BandView extends Schema
{
    public function __construct(
        /** In the check's unit, included; up to, not including, the next band */
        public float $from,
        public Verdict $verdict,
        /** @var list<ReasonView> */
        public array $reasons,
    ) {
    }

    /** @return list<self> */
    public static function of(Check $check, Background $background): array
    {
        return array_map(static fn (Band $band): self => new self(
            from: $band->from / $check->unit->stepsPerUnit(),
            verdict: $band->judgement->verdict,
            reasons: array_map(ReasonView::of(...), $band->judgement->reasons),
        ), Bands::compile($check->rule, $check->unit, $background)->bands);
    }

    /** @return array<string, list<self>> by check key */
    public static function ofRows(Board $board): array
    {
        $figures = $board->figures();
        $comparing = array_filter($board->sheet->checks, static fn (Check $check): bool => $check->comparesRows() && ! $check->hasAims());

        return self::aimBands($board) + array_map(
            static fn (Check $check): array => self::of($check, Background::ofRows(null, $figures[$check->key->value] ?? [])),
            $comparing,
        );
    }

    /** @return array<string, list<self>> by check key and row: each row has an aim of its own */
    private static function aimBands(Board $board): array
    {
        $school = $board->walk === null ? $board->planter->workshop->depth_school : $board->walk->depth_school;
        $checks = array_filter(array_map($board->sheet->check(...), DepthAims::CHECKS), static fn (?Check $check): bool => $check !== null && DepthAims::count($check->key, $school));
        $aims = $checks === [] ? [] : DepthAims::of($board->rowCount, $school, static fn (string $at): ?Quantity => ($board->current[$at] ?? null)?->quantity());
        $figures = $board->figures();
        $bands = [];
        foreach ($checks as $check) {
            foreach ($aims as $row => $aim) {
                $bands["{$check->key->value} {$row}"] = self::of($check, Background::ofRows(null, $figures[$check->key->value] ?? [], aim: $aim));
            }
        }

        return $bands;
    }
}
