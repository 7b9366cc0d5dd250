import type { LabelLanguage } from '../words/labels'

/** What is said to whoever is asked whether an address is theirs: in the mail, and on the page that its link opens. */
export interface ConfirmationWords {
  subject: string
  /** `{site}` is filled in. */
  given: string
  open: string
  ignore: string
  yes: string
  confirmed: string
  gone: string
}

export const confirmationWords: Record<LabelLanguage, ConfirmationWords> = {
  en: {
    subject: 'Please confirm your address',
    given: 'Someone gave this address in a form on {site}.',
    open: 'If it was you, open this page and confirm your address. We will then send you our reply:',
    ignore: 'If it was not you, you do not need to do anything.',
    yes: 'Yes, this is my address',
    confirmed: 'Thank you. Our reply is on its way.',
    gone: 'This link is no longer valid. Please fill in the form again.',
  },
  de: {
    subject: 'Bitte bestätigen Sie Ihre Adresse',
    given: 'Diese Adresse wurde in einem Formular auf {site} angegeben.',
    open: 'Wenn Sie das waren, öffnen Sie diese Seite und bestätigen Sie Ihre Adresse. Dann senden wir Ihnen unsere Antwort:',
    ignore: 'Wenn Sie es nicht waren, brauchen Sie nichts zu tun.',
    yes: 'Ja, das ist meine Adresse',
    confirmed: 'Vielen Dank. Unsere Antwort ist unterwegs.',
    gone: 'Dieser Link gilt nicht mehr. Bitte füllen Sie das Formular noch einmal aus.',
  },
  fr: {
    subject: 'Veuillez confirmer votre adresse',
    given: 'Cette adresse a été indiquée dans un formulaire sur {site}.',
    open: 'Si c’était vous, ouvrez cette page et confirmez votre adresse. Nous vous enverrons alors notre réponse :',
    ignore: 'Si ce n’était pas vous, vous n’avez rien à faire.',
    yes: 'Oui, c’est mon adresse',
    confirmed: 'Merci. Notre réponse est en route.',
    gone: 'Ce lien n’est plus valable. Veuillez remplir à nouveau le formulaire.',
  },
  es: {
    subject: 'Confirme su dirección',
    given: 'Alguien indicó esta dirección en un formulario de {site}.',
    open: 'Si fue usted, abra esta página y confirme su dirección. Entonces le enviaremos nuestra respuesta:',
    ignore: 'Si no fue usted, no tiene que hacer nada.',
    yes: 'Sí, es mi dirección',
    confirmed: 'Gracias. Nuestra respuesta está en camino.',
    gone: 'Este enlace ya no es válido. Rellene el formulario otra vez.',
  },
  pt: {
    subject: 'Confirme o seu endereço',
    given: 'Alguém indicou este endereço num formulário em {site}.',
    open: 'Se foi você, abra esta página e confirme o seu endereço. Enviaremos então a nossa resposta:',
    ignore: 'Se não foi você, não precisa de fazer nada.',
    yes: 'Sim, este é o meu endereço',
    confirmed: 'Obrigado. A nossa resposta está a caminho.',
    gone: 'Esta ligação já não é válida. Preencha o formulário outra vez.',
  },
  it: {
    subject: 'Confermi il suo indirizzo',
    given: 'Qualcuno ha indicato questo indirizzo in un modulo su {site}.',
    open: 'Se è stato lei, apra questa pagina e confermi il suo indirizzo. Le invieremo poi la nostra risposta:',
    ignore: 'Se non è stato lei, non deve fare nulla.',
    yes: 'Sì, è il mio indirizzo',
    confirmed: 'Grazie. La nostra risposta è in arrivo.',
    gone: 'Questo collegamento non è più valido. Compili di nuovo il modulo.',
  },
  nl: {
    subject: 'Bevestig uw adres',
    given: 'Iemand heeft dit adres opgegeven in een formulier op {site}.',
    open: 'Was u dat, open dan deze pagina en bevestig uw adres. Daarna sturen we u ons antwoord:',
    ignore: 'Was u het niet, dan hoeft u niets te doen.',
    yes: 'Ja, dit is mijn adres',
    confirmed: 'Dank u. Ons antwoord is onderweg.',
    gone: 'Deze link is niet meer geldig. Vul het formulier opnieuw in.',
  },
  da: {
    subject: 'Bekræft din adresse',
    given: 'Nogen har angivet denne adresse i en formular på {site}.',
    open: 'Hvis det var dig, så åbn denne side og bekræft din adresse. Så sender vi vores svar:',
    ignore: 'Hvis det ikke var dig, behøver du ikke gøre noget.',
    yes: 'Ja, det er min adresse',
    confirmed: 'Tak. Vores svar er på vej.',
    gone: 'Dette link gælder ikke længere. Udfyld formularen igen.',
  },
  nb: {
    subject: 'Bekreft adressen din',
    given: 'Noen har oppgitt denne adressen i et skjema på {site}.',
    open: 'Hvis det var deg, åpne denne siden og bekreft adressen. Da sender vi svaret vårt:',
    ignore: 'Hvis det ikke var deg, trenger du ikke gjøre noe.',
    yes: 'Ja, dette er adressen min',
    confirmed: 'Takk. Svaret vårt er på vei.',
    gone: 'Denne lenken gjelder ikke lenger. Fyll ut skjemaet på nytt.',
  },
  sv: {
    subject: 'Bekräfta din adress',
    given: 'Någon har angett den här adressen i ett formulär på {site}.',
    open: 'Om det var du, öppna den här sidan och bekräfta din adress. Då skickar vi vårt svar:',
    ignore: 'Om det inte var du behöver du inte göra något.',
    yes: 'Ja, det är min adress',
    confirmed: 'Tack. Vårt svar är på väg.',
    gone: 'Den här länken gäller inte längre. Fyll i formuläret igen.',
  },
  pl: {
    subject: 'Potwierdź swój adres',
    given: 'Ktoś podał ten adres w formularzu na stronie {site}.',
    open: 'Jeśli to Ty, otwórz tę stronę i potwierdź swój adres. Wtedy wyślemy naszą odpowiedź:',
    ignore: 'Jeśli to nie Ty, nie musisz nic robić.',
    yes: 'Tak, to mój adres',
    confirmed: 'Dziękujemy. Nasza odpowiedź jest w drodze.',
    gone: 'Ten link nie jest już ważny. Wypełnij formularz jeszcze raz.',
  },
  uk: {
    subject: 'Підтвердьте свою адресу',
    given: 'Хтось указав цю адресу у формі на сайті {site}.',
    open: 'Якщо це були ви, відкрийте цю сторінку й підтвердьте свою адресу. Тоді ми надішлемо нашу відповідь:',
    ignore: 'Якщо це були не ви, нічого робити не потрібно.',
    yes: 'Так, це моя адреса',
    confirmed: 'Дякуємо. Наша відповідь уже в дорозі.',
    gone: 'Це посилання більше не діє. Заповніть форму ще раз.',
  },
  el: {
    subject: 'Επιβεβαιώστε τη διεύθυνσή σας',
    given: 'Κάποιος έδωσε αυτή τη διεύθυνση σε μια φόρμα στο {site}.',
    open: 'Αν ήσασταν εσείς, ανοίξτε αυτή τη σελίδα και επιβεβαιώστε τη διεύθυνσή σας. Τότε θα σας στείλουμε την απάντησή μας:',
    ignore: 'Αν δεν ήσασταν εσείς, δεν χρειάζεται να κάνετε τίποτα.',
    yes: 'Ναι, είναι η διεύθυνσή μου',
    confirmed: 'Ευχαριστούμε. Η απάντησή μας είναι καθ’ οδόν.',
    gone: 'Αυτός ο σύνδεσμος δεν ισχύει πια. Συμπληρώστε ξανά τη φόρμα.',
  },
  tr: {
    subject: 'Lütfen adresinizi onaylayın',
    given: 'Birisi bu adresi {site} sitesindeki bir formda verdi.',
    open: 'Bu sizseniz bu sayfayı açın ve adresinizi onaylayın. Ardından yanıtımızı göndeririz:',
    ignore: 'Bu siz değilseniz hiçbir şey yapmanız gerekmez.',
    yes: 'Evet, bu benim adresim',
    confirmed: 'Teşekkürler. Yanıtımız yolda.',
    gone: 'Bu bağlantı artık geçerli değil. Lütfen formu yeniden doldurun.',
  },
  ja: {
    subject: 'メールアドレスをご確認ください',
    given: '{site}のフォームにこのメールアドレスが入力されました。',
    open: 'ご本人の場合は、次のページを開いてアドレスを確認してください。確認後に返信をお送りします。',
    ignore: 'お心当たりがない場合は、何もする必要はありません。',
    yes: 'はい、私のアドレスです',
    confirmed: 'ありがとうございます。返信をお送りしました。まもなく届きます。',
    gone: 'このリンクは無効になりました。もう一度フォームに入力してください。',
  },
  ar: {
    subject: 'يُرجى تأكيد عنوانكم',
    given: 'أدخل شخص ما هذا العنوان في نموذج على {site}.',
    open: 'إن كنتم أنتم من فعل ذلك، فافتحوا هذه الصفحة وأكّدوا عنوانكم، ثم نرسل إليكم ردّنا:',
    ignore: 'إن لم تكونوا أنتم، فلا حاجة إلى فعل أي شيء.',
    yes: 'نعم، هذا عنواني',
    confirmed: 'شكرًا لكم. ردّنا في الطريق إليكم.',
    gone: 'لم يعد هذا الرابط صالحًا. يُرجى ملء النموذج مرة أخرى.',
  },
}
