<?php

declare(strict_types=1);

namespace App\Record\Http;

use App\Record\NotTaken;
use App\Record\Outcome;
use App\Record\Receipt;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Throwable;

#[OA\Schema(schema: 'Receipt', required: ['index', 'id', 'outcome', 'status', 'message', 'doubts'], properties: [
    new OA\Property(property: 'index', description: 'Place in what was sent, from 0', type: 'integer'),
    new OA\Property(property: 'id', type: 'string', nullable: true),
    new OA\Property(property: 'outcome', type: 'string', enum: Outcome::class),
    new OA\Property(property: 'status', description: 'The HTTP status the item would have had alone', type: 'integer'),
    new OA\Property(property: 'message', type: 'string', nullable: true),
    new OA\Property(property: 'doubts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Reason')),
])]
#[OA\Schema(schema: 'Receipts', required: ['receipts'], properties: [
    new OA\Property(property: 'receipts', description: 'One for each item, in the same order', type: 'array', items: new OA\Items(ref: '#/components/schemas/Receipt')),
])]
final class ReceiptsShape
{
    /**
     * @param  list<Receipt>  $receipts
     * @return list<array<string, mixed>>
     */
    public static function of(array $receipts): array
    {
        return array_map(static fn (Receipt $receipt): array => [
            'index' => $receipt->index,
            'id' => $receipt->id,
            'outcome' => $receipt->outcome->value,
            'status' => $receipt->outcome->status(),
            'message' => $receipt->message,
            'doubts' => $receipt->doubts,
        ], $receipts);
    }

    /**
     * Of what was taken whole: 201 where anything is new, 200 where all was known.
     *
     * @param  list<Receipt>  $receipts
     */
    public static function answer(array $receipts): JsonResponse
    {
        $isNew = array_filter($receipts, static fn (Receipt $receipt): bool => $receipt->outcome === Outcome::Stored) !== [];

        return new JsonResponse(['receipts' => self::of($receipts)], $isNew ? 201 : 200);
    }

    /**
     * Takes what was sent whole: the answer where it was taken, in words where it was not.
     *
     * @param  Closure(): list<Receipt>  $take
     * @param  string  $items  the field that they came in; empty where the body is one item
     *
     * @throws Throwable
     */
    public static function taken(Closure $take, string $items = ''): JsonResponse
    {
        try {
            return self::answer($take());
        } catch (NotTaken $notTaken) {
            throw self::refusal($notTaken, $items);
        }
    }

    /**
     * Of what could not be taken whole: each item's field by name, or that an id is taken.
     *
     * @param  string  $items  what the list of them is called in the request; empty where there is only one and it is the request
     */
    public static function refusal(NotTaken $notTaken, string $items = ''): Throwable
    {
        if ($notTaken->isConflict()) {
            return new ConflictHttpException(__('refused.id_taken'));
        }
        $messages = [];
        foreach ($notTaken->inTheWay() as $receipt) {
            $path = array_filter($items === '' ? [$receipt->field] : [$items, (string) $receipt->index, $receipt->field], static fn (string $step): bool => $step !== '');
            $messages[$path === [] ? 'id' : implode('.', $path)][] = (string) $receipt->message;
        }

        return ValidationException::withMessages($messages);
    }
}
