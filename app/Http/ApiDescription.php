<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** The parts of the OpenAPI document that belong to no single route. */
#[OA\Info(version: '1.0.0', title: 'Ustrel', description: 'Row-unit service for planters. Signed in by a session cookie from POST /api/sign-in; writes carry the X-XSRF-TOKEN header. A page may name who it speaks for in X-Ustrel-User; it is refused where somebody else has signed in meanwhile. Lengths are millimetres; other figures are in the unit that stands beside them.')]
#[OA\Server(url: '/')]
#[OA\Response(response: 'SignedOut', description: 'Not signed in', content: new OA\JsonContent(ref: '#/components/schemas/Refusal'))]
#[OA\Response(response: 'NotFound', description: 'Not in this workshop', content: new OA\JsonContent(ref: '#/components/schemas/Refusal'))]
#[OA\SecurityScheme(securityScheme: 'stand', description: 'The token of a test stand', type: 'http', scheme: 'bearer')]
#[OA\Response(response: 'Refused', description: 'Something in the request cannot stand; each field is named', content: new OA\JsonContent(ref: '#/components/schemas/Refusal'))]
final class ApiDescription
{
}
