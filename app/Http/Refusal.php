<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** The shape of every refusal; see App\Exceptions\Speaks. */
#[OA\Schema(schema: 'Refusal', required: ['message'], properties: [
    new OA\Property(property: 'message', type: 'string'),
    new OA\Property(property: 'errors', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string'))),
])]
final class Refusal
{
}
