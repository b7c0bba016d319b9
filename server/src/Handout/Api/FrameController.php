<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api;

use ChalkLadder\Server\Handout\ReadModel\FramingPages;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/**
 * The students' page as it stands within a page of others. It is the same for anybody and holds nothing of the work; what is
 * told apart is which pages a browser lets it stand in, and nginx says that with the page (docs/decisions/frames.md).
 */
final readonly class FrameController
{
    private const PAGE = '/internal/framed';
    private const BY = 'X-Chalk-Framed-By';

    public function __construct(private FramingPages $pages)
    {
    }

    /** Whatever is asked for gets the page: it says nothing of which work there is, and leads who is lost to joining. */
    #[Route('/framed/{id}', methods: ['GET'])]
    #[Returns('file')]
    public function show(string $id): Response
    {
        return new Response('', 200, [
            self::BY => implode(' ', Uuid::isValid($id) ? $this->pages->of($id) : []),
            'X-Accel-Redirect' => self::PAGE,
            'Cache-Control' => 'no-cache',
        ]);
    }
}
