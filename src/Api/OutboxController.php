<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Wording\Letter;
use Meandros\Core\Wording\Letters;
use Meandros\Server\Outbox\Outbox;
use Meandros\Server\Sound\MachineVoice;
use Meandros\Server\Sound\Sounds;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Email;
use Symfony\Component\Routing\Attribute\Route;

/** The e-mails that trial calls send, on request: kept in the outbox of this machine, where they can be read. */
#[Route('/api/outbox')]
final readonly class OutboxController
{
    /** RFC 2606: a name that leads nowhere. */
    private const FROM = 'calls@meandros.invalid';

    public function __construct(
        private Outbox $outbox,
        private Plans $plans,
        private Router $router,
        private Live $live,
        private MailerInterface $mailer,
        private MachineVoice $machine,
        private Sounds $sounds,
    ) {}

    /** @throws InvalidData */
    #[Route('', methods: ['GET'])]
    public function list(Request $request): JsonResponse
    {
        [$most, $before] = Page::of($request);

        return new JsonResponse([
            'letters' => array_map(
                static fn(array $letter): array => ['sentAt' => gmdate(\DATE_RFC3339, $letter['sentAt'])] + $letter,
                $this->outbox->list($most, $before),
            ),
        ]);
    }

    /** @throws NotFound */
    #[Route('/{id}.eml', requirements: ['id' => '\d{1,15}'], methods: ['GET'])]
    public function message(int $id): Response
    {
        $message = $this->outbox->message($id) ?? throw new NotFound('There is no such e-mail in the outbox.');

        return new Response($message, 200, [
            'Content-Type' => 'message/rfc822',
            'Content-Disposition' => \sprintf('attachment; filename="%d.eml"', $id),
        ]);
    }

    /**
     * What a trial call would send is put into the outbox.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('', defaults: Served::ELEMENT, methods: ['POST'])]
    public function send(Request $request): JsonResponse
    {
        $asked = TrialCallRequest::read($request, $this->plans);
        $trace = $this->router->trace($asked->plan, $asked->call, $asked->assumptions, $asked->inForce($this->live));
        $letters = Letters::of($trace, $asked->plan, $asked->zone);
        foreach ($letters as $letter) {
            $this->mailer->send($this->email($letter));
        }

        return new JsonResponse(['sent' => \count($letters)]);
    }

    #[Route('', methods: ['DELETE'])]
    public function clear(): JsonResponse
    {
        $this->outbox->clear();

        return new JsonResponse(['letters' => []]);
    }

    private function email(Letter $letter): Email
    {
        $email = (new Email())->from(self::FROM)->to(...$letter->to)->subject($letter->subject)->text($letter->text);
        $sound =
            null === $letter->spoken
                ? null
                : $this->machine->read($letter->spoken['words'], $letter->spoken['language']);

        return null === $sound
            ? $email
            : $email->attach($this->sounds->read($sound->sha256), 'message.wav', 'audio/wav');
    }
}
