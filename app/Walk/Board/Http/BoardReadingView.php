<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use App\Walk\Board\CurrentReading;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Result;

final readonly class BoardReadingView extends Schema
{
    public function __construct(
        public Verdict $verdict,
        #[Inlined] public BoardAnswerView $answer,
        /** @var list<ReasonView>|null Missing where none */
        #[OmittedWhenNull] public ?array $reasons,
        /** Missing where it is recorded */
        #[OmittedWhenNull] public ?Result $result,
    ) {
    }

    public static function of(CurrentReading $of): self
    {
        return new self($of->verdict, BoardAnswerView::of($of->stored), ReasonView::all($of->reasons()) ?: null, $of->result === Result::Recorded ? null : $of->result);
    }
}
