<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\Section;
use ChalkLadder\Server\Exchange\Api\View\PrintJobView;
use ChalkLadder\Server\Exchange\Api\View\PrintView;
use ChalkLadder\Server\Exchange\Entity\PrintJob;
use ChalkLadder\Server\Exchange\Entity\PrintWish;
use ChalkLadder\Server\Exchange\ReadModel\PrintQueue;
use ChalkLadder\Server\Exchange\Repository\PrintJobRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Psr\Log\LoggerInterface;
use Symfony\Component\Clock\ClockInterface;

/**
 * A paper, or its key, as PDF, in three steps: it is asked for, its place in the queue can be looked at, and it is fetched.
 * Fetching is what makes it, in a pool of workers of its own (ops/php-fpm.conf), two at once: the workers beyond are the
 * queue, and nobody else waits for them.
 */
final readonly class PaperPdf
{
    private const MOST_EACH = 6;

    public function __construct(
        private Papers $papers,
        private PrintTicket $ticket,
        private PrintJobRepository $jobs,
        private PrintQueue $queue,
        private Renderer $renderer,
        private Files $files,
        private Transaction $transaction,
        private ClockInterface $clock,
        private LoggerInterface $logger,
    ) {
    }

    /** @param string $version one of {@see PrintWish::VERSIONS}, or '' */
    public function view(string $teamId, string $paperId, string $version = ''): PrintView
    {
        $edition = $this->papers->draft($teamId, $paperId);
        $items = $edition->items();
        // A paper that draws is printed as one student gets it.
        $paper = $edition->paper()->version($paperId, mixed: false);
        if (in_array($version, PrintWish::VERSIONS, true)) {
            $seed = $paperId.'|'.$version;
            $paper = $edition->paper()->version($seed);
            foreach (array_keys($items) as $entry) {
                $own = $edition->own($entry, $seed)->item ?? $items[$entry];
                $items[$entry] = $own->withRule($own->rule->version($seed.'|'.$entry));
            }
        }
        $pictures = [];
        $shown = array_map(static fn (Item $i): array => $i->files(), array_values($items));
        foreach (array_unique(array_merge($paper->files(), ...$shown)) as $id) {
            $pictures += $this->files->printed($teamId, $id);
        }

        return new PrintView(
            $paper->toArray(),
            array_map(static fn (Item $i): array => $i->toArray(), $items),
            $pictures,
            NumberText::write(PaperProof::extent($paper)[1]),
            array_map(
                static fn (Section $s): array => array_column($s->questions(), 'id'),
                array_column($edition->paper()->sections, null, 'id'),
            ),
        );
    }

    public function ask(
        StaffUser $who,
        string $paperId,
        bool $withKey,
        string $version = '',
        bool $large = false,
        bool $sheet = false,
    ): PrintJobView {
        if ($version !== '' && !in_array($version, PrintWish::VERSIONS, true)) {
            throw Problem::invalid(['version' => 'Versions are: '.implode(', ', PrintWish::VERSIONS).'.']);
        }
        $wish = new PrintWish($withKey, $version, $large, $sheet);
        $this->papers->draft($who->teamId, $paperId);
        if ($this->queue->of($who->id, $this->clock->now()) >= self::MOST_EACH) {
            throw new Problem(429, 'You wait for several PDFs already.', 'Let one of them finish, or cancel it.');
        }
        $id = $this->transaction->run(function () use ($who, $paperId, $wish): string {
            $this->queue->forgetOld($this->clock->now());
            $job = new PrintJob($who->teamId, $who->id, $paperId, $wish, $this->clock->now());
            $this->jobs->add($job);

            return $job->id();
        });

        return $this->state($who, $id);
    }

    public function state(StaffUser $who, string $id): PrintJobView
    {
        $job = $this->own($who, $this->jobs->find($who->teamId, $id));

        return new PrintJobView(
            $id,
            $job->state()->value,
            $job->state() === PrintState::Waiting ? $this->queue->before($id, $this->clock->now()) : 0,
        );
    }

    public function cancel(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->own($who, $this->jobs->findLocked($who->teamId, $id))->cancel());
    }

    /** @return array{string, FileName} */
    public function make(StaffUser $who, string $id): array
    {
        [$paperId, $wish] = $this->transaction->run(function () use ($who, $id): array {
            $job = $this->own($who, $this->jobs->findLocked($who->teamId, $id));
            if (!$job->begin()) {
                throw new Problem(410, 'This PDF is not to be had any more.', 'Ask for it again.');
            }

            return [$job->paperId(), $job->wish()];
        });
        $path = '/print/paper/'.$paperId.'?'.http_build_query([
            'key' => $wish->withKey ? 1 : 0,
            'version' => $wish->version,
            'large' => $wish->large ? 1 : 0,
            'sheet' => $wish->sheet ? 1 : 0,
            'ticket' => $this->ticket->issue($who->teamId, $paperId),
        ]);
        $state = PrintState::Failed;
        try {
            $pdf = $this->renderer->pdf($path, fn (): bool => !$this->queue->isCancelled($id));
            $state = PrintState::Done;
        } catch (RenderFailed $e) {
            if ($e->cancelled) {
                throw new Problem(410, 'This PDF was cancelled.');
            }
            $this->logger->error($e->getMessage());
            throw new Problem(503, 'The PDF could not be made.', 'Try again in a moment, or print the page from your browser.');
        } finally {
            $this->end($who, $id, $state);
        }

        $title = $this->papers->draft($who->teamId, $paperId)->paper()->title;

        return [$pdf, FileName::of($title === '' ? 'Paper' : $title, [], $wish->inWords(), 'pdf')];
    }

    private function end(StaffUser $who, string $id, PrintState $state): void
    {
        $this->transaction->run(fn () => $this->jobs->findLocked($who->teamId, $id)?->end($state));
    }

    private function own(StaffUser $who, ?PrintJob $job): PrintJob
    {
        return $job !== null && $job->staffId() === $who->id ? $job : throw Problem::notFound('The PDF');
    }
}
