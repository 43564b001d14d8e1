<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Board;
use App\Walk\Board\Http\ReasonView;
use App\Walk\DepthAims;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
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
        $compares = static fn (Check $check): bool => $check->comparesRows() && ! $check->hasAims();
        $bands = array_map(static fn (Check $check): array => self::of($check, Background::ofRows(null, $board->figuresOf($check))), array_filter($board->sheet->checks, $compares));
        foreach (array_filter($board->rowChecks(), $compares) as $check) {
            $bands += array_fill_keys(array_map(static fn (int $row): string => "{$check->key->value} {$row}", $check->rows ?? []), self::of($check, Background::ofRows(null, $board->figuresOf($check))));
        }

        return self::aimBands($board) + $bands;
    }

    /** @return array<string, list<self>> by check key and row: each row has an aim of its own */
    private static function aimBands(Board $board): array
    {
        $school = $board->walk === null ? $board->planter->workshop->depth_school : $board->walk->depth_school;
        $asked = array_filter(array_map(CheckKey::from(...), DepthAims::CHECKS), static fn (CheckKey $key): bool => $board->sheet->check($key) !== null && DepthAims::count($key, $school));
        $bands = [];
        foreach (array_merge(...array_map(static fn (CheckKey $key): array => $board->sheet->variantsOf($key->value), array_values($asked))) as $check) {
            $aims = DepthAims::of($check->rows ?? range(1, $board->rowCount), $school, static fn (string $at): ?Quantity => ($board->current[$at] ?? null)?->quantity());
            foreach ($aims as $row => $aim) {
                $bands["{$check->key->value} {$row}"] = self::of($check, Background::ofRows(null, $board->figuresOf($check), aim: $aim));
            }
        }

        return $bands;
    }
}
