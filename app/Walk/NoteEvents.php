<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Note;
use App\Models\Walk\Walk;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Walk\NoteKind;

/** Notes on places of one walk; an empty one takes the note back whose place it takes. */
#[Declared(Note::class, item: 'refused.not_a_reading', gone: 'refused.note_gone', when: 'refused.no_time', ahead: 'refused.in_the_future', moment: 'taken_at', isFlagged: false)]
final readonly class NoteEvents implements Kind
{
    use EventDefaults;

    private const LONGEST = 1000;

    public function __construct(private Walk $walk)
    {
    }

    public function takesBack(array $row): bool
    {
        return $row['text'] === '';
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
        ];
    }
}
