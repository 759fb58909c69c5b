import { Button, chakra, Dialog, Portal } from '@chakra-ui/react';
import { X } from 'lucide-react';
import { type FormEventHandler, type ReactNode, useRef } from 'react';
import { useBackCloses } from './useBackCloses';
import { useReturnFocus } from './useReturnFocus';

/** A window so low that head and foot of a dialog must shrink to leave room for what it says. */
const low = '@media (max-height: 480px)';

const Form = chakra('form', { base: { display: 'flex', flexDirection: 'column', minHeight: 0, flex: '1 1 auto' } });

/**
 * A dialog in our own look over a darkened bench, never larger than the screen: what does not fit scrolls between its head and
 * its buttons. Without `onClose` it stays until one of its own buttons is taken; with `onSubmit` it is a form.
 */
export function Frame({
  title,
  wide,
  onClose,
  onSubmit,
  children,
}: {
  title: string;
  wide?: boolean;
  onClose?(): void;
  onSubmit?: FormEventHandler<HTMLFormElement>;
  children: ReactNode;
}) {
  useReturnFocus();
  useBackCloses(onClose);
  const content = useRef<HTMLDivElement>(null);
  return (
    <Dialog.Root
      open
      role={onClose ? 'dialog' : 'alertdialog'}
      closeOnInteractOutside={onClose !== undefined}
      closeOnEscape={onClose !== undefined}
      onOpenChange={({ open }) => !open && onClose?.()}
      // What is filled in has the focus, and not the way out.
      initialFocusEl={() => content.current?.querySelector<HTMLElement>('input, textarea, select') ?? null}
      size={wide ? 'xl' : 'sm'}
      scrollBehavior="inside"
    >
      <Portal>
        <Dialog.Backdrop bg="rgba(14, 20, 24, 0.6)" />
        <Dialog.Positioner p={{ base: '2', md: '6' }} css={{ [low]: { padding: '4px' } }}>
          <Dialog.Content
            ref={content}
            bg="card"
            borderRadius="3px"
            borderWidth="1px"
            borderColor="edge"
            maxW={wide ? '860px' : undefined}
            maxH="100%"
            my="0"
            css={{
              [low]: {
                '& .chakra-dialog__header': { padding: '6px 12px' },
                '& .chakra-dialog__body': { padding: '4px 12px 8px' },
                '& .chakra-dialog__footer': { padding: '6px 12px' },
              },
            }}
          >
            <Dialog.Header justifyContent="space-between" alignItems="start" flexShrink="0">
              <Dialog.Title fontFamily="heading" fontSize="22px" css={{ [low]: { fontSize: '18px' } }}>
                {title}
              </Dialog.Title>
              {onClose && (
                <Button
                  size="sm"
                  variant="outline"
                  aria-label={`Close: ${title}`}
                  minW={{ base: '44px', md: '36px' }}
                  minH={{ base: '44px', md: '36px' }}
                  px="0"
                  css={{ [low]: { minHeight: '32px' } }}
                  onClick={onClose}
                >
                  <X size={18} aria-hidden />
                </Button>
              )}
            </Dialog.Header>
            {onSubmit ? (
              <Form onSubmit={onSubmit} noValidate>
                {children}
              </Form>
            ) : (
              children
            )}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
