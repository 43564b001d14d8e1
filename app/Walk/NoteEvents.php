<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Note;
use App\Models\Walk\Walk;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Refused;
use App\Record\Touched;
use Ustrel\Core\Walk\NoteKind;

/** Notes on places of one walk; an empty one takes the note back whose place it takes. */
final readonly class NoteEvents implements Kind
{
    private const LONGEST = 1000;

    public function __construct(private Walk $walk)
    {
    }

    public function model(): string
    {
        return Note::class;
    }

    public function canSupersede(): bool
    {
        return true;
    }

    public function takesBack(array $row): bool
    {
        return $row['text'] === '';
    }

    public function wording(): KindWording
    {
        return new KindWording('refused.not_a_reading', 'refused.note_gone');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $place = PlaceFields::read($fields, $this->walk->readSheet(), $this->walk->row_count);
        $kind = $fields->oneOf('kind', NoteKind::class, 'refused.unknown_note_kind') ?? NoteKind::Note;
        $text = $fields->text('text', self::LONGEST, 'refused.note_length');
        if ($text === '' && $envelope->supersedes === null) {
            throw Refused::because('text', 'refused.note_length');
        }

        return [
            'walk_id' => $this->walk->id,
            ...Note::at($place),
            'kind' => $kind->value,
            'text' => $text,
            'taken_at' => $fields->moment('taken_at', 'refused.no_time', 'refused.in_the_future')->toIso(),
        ];
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        // Nothing is reckoned from what people write.
    }
}
