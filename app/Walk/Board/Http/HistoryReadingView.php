<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\HistoryReading;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\WalkKind;

final readonly class HistoryReadingView extends Schema
{
    public function __construct(
        #[Inlined] public AnswerView $answer,
        public string $id,
        public Result $result,
        public Entry $entry,
        public ?string $typed,
        public bool $confirmed,
        public DateTimeInterface $taken_at,
        public string $taken_by,
        public int $season,
        public WalkKind $kind,
        /** False once a later reading of the same walk has taken its place */
        public bool $holds,
        public ?Verdict $verdict,
        /** @var list<ReasonView> */
        public array $reasons,
    ) {
    }

    public static function of(HistoryReading $reading): self
    {
        return new self(
            id: $reading->id,
            result: Result::from($reading->result),
            entry: Entry::from($reading->entry),
            answer: AnswerView::of($reading->stored),
            typed: $reading->typed,
            confirmed: $reading->confirmed,
            taken_at: CarbonImmutable::parse($reading->takenAt),
            taken_by: $reading->takenBy,
            season: $reading->season,
            kind: WalkKind::from($reading->kind),
            holds: $reading->holds,
            verdict: $reading->verdict === null ? null : Verdict::from($reading->verdict),
            reasons: ReasonView::all($reading->reasons),
        );
    }
}
