<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Api;

use ChalkLadder\Server\Exchange\Api\View\PrintView;
use ChalkLadder\Server\Exchange\Exports;
use ChalkLadder\Server\Exchange\PaperPdf;
use ChalkLadder\Server\Exchange\PrintTicket;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class ExchangeController
{
    public function __construct(private Exports $exports, private PaperPdf $papers, private PrintTicket $ticket)
    {
    }

    #[Route('/handouts/{id}/responses.csv', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function responses(#[CurrentUser] StaffUser $who, string $id): Response
    {
        return self::file($this->exports->responses($who->teamId, $id), 'text/csv; charset=UTF-8', 'responses.csv');
    }

    #[Route('/handouts/{id}/marks.csv', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function marks(#[CurrentUser] StaffUser $who, string $id): Response
    {
        return self::file($this->exports->marks($who->teamId, $id), 'text/csv; charset=UTF-8', 'marks.csv');
    }

    #[Route('/papers/{id}/pdf', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function pdf(#[CurrentUser] StaffUser $who, string $id, #[MapQueryParameter] bool $key = false): Response
    {
        return self::file($this->papers->pdf($who->teamId, $id, $key), 'application/pdf', $key ? 'key.pdf' : 'paper.pdf');
    }

    /** For the printing browser alone; the signed ticket stands in for a session. */
    #[Route('/print/papers/{id}', methods: ['GET'])]
    public function print(string $id, #[MapQueryParameter] string $ticket = ''): PrintView
    {
        return $this->papers->view($this->ticket->check($ticket, $id), $id);
    }

    private static function file(string $body, string $type, string $name): Response
    {
        return new Response($body, 200, ['Content-Type' => $type, 'Cache-Control' => 'no-store', 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name), 'X-Content-Type-Options' => 'nosniff']);
    }
}
