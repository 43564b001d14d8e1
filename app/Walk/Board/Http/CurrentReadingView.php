<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\CurrentReading;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

final readonly class CurrentReadingView extends Schema
{
    public function __construct(
        #[Inlined] public AnswerView $answer,
        /** Of the reading; null where the place was given another part, or set anew, since */
        public ?string $id,
        public Result $result,
        public Verdict $verdict,
        /** @var list<ReasonView> */
        public array $reasons,
        public string $taken_at,
    ) {
    }

    public static function of(?CurrentReading $reading): ?self
    {
        return $reading === null ? null : new self(
            answer: AnswerView::of($reading->stored),
            id: $reading->readingId,
            result: $reading->result,
            verdict: $reading->verdict,
            reasons: ReasonView::all($reading->reasons()),
            taken_at: $reading->takenAt,
        );
    }
}
