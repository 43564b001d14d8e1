<?php

declare(strict_types=1);

namespace App\Walk;

use App\Record\Fields;
use App\Record\RefusedReading;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** One reading as a device sends it, checked against the walk's rows and spec sheet. */
final readonly class ReadingInput
{
    private function __construct(
        public string $id,
        public Place $place,
        public Result $result,
        public Entry $entry,
        /** Null unless recorded; and for "same as last", which the record itself fills in. */
        public ?Answer $answer,
        public bool $confirmed,
        public CarbonImmutable $takenAt,
    ) {
    }

    /**
     * @param  mixed  $item  shape: the Reading schema of the OpenAPI document
     *
     * @throws RefusedReading
     */
    public static function from(mixed $item, SpecSheet $sheet, int $rowCount): self
    {
        $fields = Fields::of($item, 'not_a_reading');
        $id = $fields->text('id');
        if (! Str::isUuid($id)) {
            throw RefusedReading::because('no_id');
        }
        $result = Result::tryFrom($fields->text('result', Result::Recorded->value)) ?? throw RefusedReading::because('unknown_result');
        if ($result === Result::Fitted || $result === Result::MeasureAgain) {
            throw RefusedReading::because('unknown_result');
        }
        $entry = Entry::tryFrom($fields->text('entry', Entry::Typed->value)) ?? throw RefusedReading::because('unknown_entry');
        $isGlance = $entry === Entry::RestOfRow || $entry === Entry::RestOfStation;
        if ($isGlance !== ($result === Result::LookedSound)) {
            throw RefusedReading::because('glance_and_figure');
        }
        $place = $fields->place($sheet, $rowCount);
        $check = $sheet->checks[$place->check->value];
        $isGiven = $result === Result::Recorded && $entry !== Entry::SameAsLast;

        return new self(
            strtolower($id),
            $place,
            $result,
            $entry,
            $isGiven ? AnswerInput::read($fields, $check, $place->row) : null,
            $fields->isTrue('confirmed'),
            $fields->takenAt(),
        );
    }
}
