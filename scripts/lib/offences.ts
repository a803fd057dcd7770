export { offences } from '@/core/words/offence'
