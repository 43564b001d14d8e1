<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\SignOff;
use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Field\Dig\SignOffKind;

/** That the rows of one planter were turned by hand, and that it is ready. */
#[Declared(SignOff::class, item: 'sign_off.item', gone: 'sign_off.gone', when: 'dig.when')]
final readonly class SignOffEvents implements Kind
{
    use EventDefaults;

    private const LONGEST = 300;

    private const LONGEST_NAME = 80;

    public function __construct(
        private Planter $planter,
        private OpenBeforePlanting $open,
    ) {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $rows = [];
        foreach ($fields->list('rows', 'sign_off.rows', ['rows' => $this->planter->row_count]) as $row) {
            $rows[] = is_int($row) && $row >= 1 && $row <= $this->planter->row_count ? $row : throw Refused::because('rows', 'sign_off.rows', ['rows' => $this->planter->row_count]);
        }

        $kind = $fields->oneOf('kind', SignOffKind::class, 'sign_off.kind') ?? throw Refused::because('kind', 'sign_off.kind');

        // Of an earlier season nothing is open any more.
        $isAsked = $kind === SignOffKind::Ready && ! $envelope->withdrawn && $this->planter->seasonAt($envelope->at()->toIso()) === $this->planter->season();

        return [
            'kind' => $kind->value,
            'answers' => json_encode($isAsked ? $this->answers($fields) : [], JSON_THROW_ON_ERROR),
            'field' => trim($fields->text('field', self::LONGEST_NAME, 'acres.field')),
            'rows' => json_encode(array_values(array_unique($rows)), JSON_THROW_ON_ERROR),
            'words' => trim($fields->text('words', self::LONGEST, 'bench.note')),
        ];
    }

    /**
     * What is open is asked about, and nobody calls the planter ready over a question.
     *
     * @return list<array{key: string, said: string, answer: string}>
     */
    private function answers(Fields $fields): array
    {
        $given = [];
        foreach ($fields->list('answers', 'sign_off.answers') as $one) {
            $answer = Fields::of($one, 'sign_off.answers');
            $given[$answer->text('key', self::LONGEST_NAME, 'sign_off.answers')] = $answer->text('answer', self::LONGEST, 'sign_off.answers');
        }
        $answers = [];
        foreach ($this->open->of($this->planter->loadMissing(['specSheet', 'workshop'])) as ['key' => $key, 'said' => $said]) {
            $answers[] = ['key' => $key, 'said' => $said, 'answer' => ($given[$key] ?? '') ?: throw Refused::because('answers', 'sign_off.open', ['said' => $said])];
        }

        return $answers;
    }
}
